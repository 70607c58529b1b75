package app.kemdro.web.rooms.house;

import app.kemdro.core.habit.Habit;
import app.kemdro.core.habit.Habit.Dates;
import app.kemdro.core.habit.Habit.Hours;
import app.kemdro.core.habit.Habit.Length;
import app.kemdro.core.habit.Habit.Paper;
import app.kemdro.core.habit.Habit.Warmth;
import app.kemdro.core.habit.Habit.Week;
import app.kemdro.core.habit.Habit.Weight;
import app.kemdro.core.habit.Money;
import app.kemdro.core.hour.Wall;
import app.kemdro.web.parts.typed.TakeBack;
import app.kemdro.web.records.habit.Choice;
import app.kemdro.web.records.habit.Habits;
import app.kemdro.web.records.habit.HouseZone;
import app.kemdro.web.rooms.Rooms;
import java.security.Principal;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.Authentication;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Units, hours and days as each is used to them, the house's for whoever says nothing, and its money. */
@Controller
class UnitsController {
    private static final String BACK = "redirect:/house/units";

    /** How each is called on the page. */
    private static final Map<Enum<?>, String> SAID = Map.ofEntries(
            Map.entry(Length.METRIC, "cm, mm"),
            Map.entry(Length.INCH, "inches"),
            Map.entry(Weight.GRAM, "g, ml"),
            Map.entry(Weight.OUNCE, "ounces"),
            Map.entry(Warmth.CELSIUS, "°C"),
            Map.entry(Warmth.FAHRENHEIT, "°F"),
            Map.entry(Hours.H24, "24 hours"),
            Map.entry(Hours.H12, "am and pm"),
            Map.entry(Dates.DAY_FIRST, "day, month"),
            Map.entry(Dates.MONTH_FIRST, "month, day"),
            Map.entry(Week.MONDAY, "Monday"),
            Map.entry(Week.SUNDAY, "Sunday"),
            Map.entry(Week.SATURDAY, "Saturday"),
            Map.entry(Paper.A4, "A4"),
            Map.entry(Paper.LETTER, "Letter"));

    private final Habits habits;
    private final HouseZone zones;

    UnitsController(Habits habits, HouseZone zones) {
        this.habits = habits;
        this.zones = zones;
    }

    /**
     * Something to choose.
     *
     * @param chosen value chosen; empty where none is
     * @param house what the house has, for an account; empty in the house's own list
     */
    record Line(String name, String says, List<Value> values, String chosen, String house) {}

    record Value(String name, String says) {}

    @GetMapping("/house/units")
    String units(Model model, Principal who) {
        Habit house = habits.of(null).habit();
        model.addAttribute("mine", lines(habits.chosen(who.getName()), house));
        model.addAttribute("houses", lines(whole(house), null));
        model.addAttribute("zones", zones.all());
        if (!model.containsAttribute("sign")) {
            model.addAttribute("zone", Wall.zone().getId());
            model.addAttribute("sign", habits.money().sign());
            model.addAttribute(
                    "perEuro", Double.toString(habits.money().perEuro()).replaceFirst("\\.0$", ""));
        }
        return "rooms/house/units";
    }

    @PostMapping("/house/units")
    String mine(Choice choice, Principal who, RedirectAttributes after) {
        Choice before = habits.chosen(who.getName());
        habits.choose(who.getName(), choice);
        if (!before.equals(choice)) {
            after.addFlashAttribute(
                    TakeBack.OFFER, TakeBack.of("Take back: as I had it", "/house/units", fields(before)));
        }
        after.addFlashAttribute(Rooms.CHANGE, "Kept for you, on every screen you sign in at.");
        return BACK;
    }

    @PostMapping("/house/units/house")
    String house(
            Choice choice,
            @RequestParam String sign,
            @RequestParam String perEuro,
            @RequestParam Optional<String> zone,
            Model model,
            Authentication who,
            RedirectAttributes after) {
        try {
            Money money = new Money(sign.strip(), number(perEuro));
            zone.ifPresent(zones::choose);
            habits.chooseForHouse(choice, money);
        } catch (IllegalArgumentException e) {
            model.addAttribute("wrong", e.getMessage());
            model.addAttribute("sign", sign);
            model.addAttribute("perEuro", perEuro);
            model.addAttribute("zone", zone.orElse(Wall.zone().getId()));
            return units(model, who);
        }
        after.addFlashAttribute(Rooms.CHANGE, "Kept for everybody who has not chosen otherwise.");
        return BACK;
    }

    private static Map<String, String> fields(Choice choice) {
        return lines(choice, Habit.STANDARD).stream().collect(Collectors.toMap(Line::name, Line::chosen));
    }

    private static double number(String typed) {
        try {
            return Double.parseDouble(typed.strip().replace(',', '.'));
        } catch (NumberFormatException e) {
            return Double.NaN;
        }
    }

    private static Choice whole(Habit h) {
        return new Choice(h.length(), h.weight(), h.warmth(), h.hours(), h.dates(), h.week(), h.paper());
    }

    private static List<Line> lines(Choice c, @Nullable Habit house) {
        return Stream.of(
                        line("length", "Lengths", c.length(), house == null ? null : house.length(), Length.values()),
                        line("weight", "Weights", c.weight(), house == null ? null : house.weight(), Weight.values()),
                        line("warmth", "Warmth", c.warmth(), house == null ? null : house.warmth(), Warmth.values()),
                        line("hours", "Hours", c.hours(), house == null ? null : house.hours(), Hours.values()),
                        line("dates", "Dates", c.dates(), house == null ? null : house.dates(), Dates.values()),
                        line("week", "A week begins", c.week(), house == null ? null : house.week(), Week.values()),
                        line("paper", "Paper", c.paper(), house == null ? null : house.paper(), Paper.values()))
                .toList();
    }

    private static Line line(
            String name, String says, @Nullable Enum<?> chosen, @Nullable Enum<?> house, Enum<?>... values) {
        return new Line(
                name,
                says,
                Arrays.stream(values).map(v -> new Value(v.name(), SAID.get(v))).toList(),
                chosen == null ? "" : chosen.name(),
                house == null ? "" : SAID.get(house));
    }
}
