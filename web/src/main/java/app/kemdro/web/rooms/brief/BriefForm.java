package app.kemdro.web.rooms.brief;

import app.kemdro.core.look.Brief;
import app.kemdro.core.look.Brief.Breaks;
import app.kemdro.core.look.Brief.Brows;
import app.kemdro.core.look.Brief.Hair;
import app.kemdro.core.look.Brief.Hands;
import app.kemdro.core.look.Brief.Performer;
import app.kemdro.core.look.Brief.Purpose;
import app.kemdro.core.look.Brief.Room;
import app.kemdro.core.look.Brief.Seen;
import app.kemdro.core.look.Brief.Skill;
import app.kemdro.core.plan.BriefCheck;
import app.kemdro.web.records.job.Job;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;

/** The brief as typed: everything is text until it is read, so that what was typed stays when it cannot be meant. */
public class BriefForm {
    private static final int HANDS = 3;

    private boolean atSensor;
    private String title = "";
    private String production = "";
    private String idea = "";
    private String performer = "";
    private String height = "";
    private String weight = "";
    private String head = "";
    private List<String> reactsTo = new ArrayList<>();
    private String callDay = "";
    private String callHour = "";
    private String chairIn = "";
    private String temperature = "22";
    private String humidity = "45";
    private String dryers = "1";
    private List<String> covers = new ArrayList<>();
    private String costumeMinutes = "15";
    private boolean selfApplied;
    private Brows brows = Brows.MEDIUM;
    private Hair hair = Hair.SHORT;
    private Seen seen = Seen.CAMERA;
    private String lastsHours = "8";
    private List<String> mustVanish = new ArrayList<>();
    private boolean moneyShort;
    private String benchDays = "3";
    private String breakEvery = "120";
    private String breakMinutes = "10";
    private String mealMinutes = "30";
    private List<HandsForm> crew = new ArrayList<>();

    /** One line of the crew as typed. */
    public static class HandsForm {
        private String name = "";
        private Skill skill = Skill.ASSISTANT;
        private String from = "";
        private String until = "";

        public String getName() {
            return name;
        }

        public void setName(String name) {
            this.name = name;
        }

        public Skill getSkill() {
            return skill;
        }

        public void setSkill(Skill skill) {
            this.skill = skill;
        }

        public String getFrom() {
            return from;
        }

        public void setFrom(String from) {
            this.from = from;
        }

        public String getUntil() {
            return until;
        }

        public void setUntil(String until) {
            this.until = until;
        }
    }

    /** A new brief for tomorrow morning, in a costume that covers these zones. */
    static BriefForm blank(LocalDate today, List<String> covers) {
        BriefForm form = new BriefForm();
        form.callDay = today.plusDays(1).toString();
        form.callHour = "08:00";
        form.covers = new ArrayList<>(covers);
        form.fillCrew();
        form.crew.get(0).skill = Skill.LEAD;
        return form;
    }

    static BriefForm of(Job job) {
        Brief brief = job.brief();
        BriefForm form = new BriefForm();
        form.title = job.title();
        form.production = job.production();
        form.idea = job.idea();
        form.performer = brief.performer().name();
        form.height = number(brief.performer().heightCm());
        form.weight = number(brief.performer().weightKg());
        form.head = number(brief.performer().headCm());
        form.reactsTo = new ArrayList<>(brief.performer().reactsTo());
        form.callDay = brief.call().toLocalDate().toString();
        form.callHour = brief.call().toLocalTime().toString();
        form.chairIn = brief.chairIn().map(t -> t.toLocalTime().toString()).orElse("");
        form.temperature = number(brief.room().temperatureC());
        form.humidity = number(brief.room().humidityPercent());
        form.dryers = Integer.toString(brief.room().dryers());
        form.covers = new ArrayList<>(brief.costumeCovers());
        form.costumeMinutes = Integer.toString(brief.costumeMinutes());
        form.selfApplied = brief.selfApplied();
        form.brows = brief.performer().brows();
        form.hair = brief.performer().hair();
        form.seen = brief.purpose().seen();
        form.lastsHours = Integer.toString(brief.purpose().lastsHours());
        form.mustVanish = new ArrayList<>(brief.purpose().mustVanish());
        form.moneyShort = brief.purpose().moneyShort();
        form.benchDays = Integer.toString(brief.purpose().benchDays());
        form.breakEvery = Integer.toString(brief.breaks().every());
        form.breakMinutes = Integer.toString(brief.breaks().minutes());
        form.mealMinutes = Integer.toString(brief.breaks().meal());
        for (Hands hands : brief.crew()) {
            HandsForm line = new HandsForm();
            line.name = hands.name();
            line.skill = hands.skill();
            line.from = hands.from().toLocalTime().toString();
            line.until = hands.until().toLocalTime().toString();
            form.crew.add(line);
        }
        form.fillCrew();
        return form;
    }

    private static String number(double value) {
        if (value == 0) {
            return "";
        }
        return value == Math.rint(value) ? Long.toString((long) value) : Double.toString(value);
    }

    void fillCrew() {
        while (crew.size() < HANDS) {
            crew.add(new HandsForm());
        }
    }

    /** Reads the form; complaints are kept under the field they are about. */
    final class Reading {
        private final Map<String, String> wrong = new TreeMap<>();

        Map<String, String> wrong() {
            return wrong;
        }

        Optional<Brief> brief() {
            if (title.isBlank()) {
                wrong.put("title", "Say who the character is.");
            } else if (title.length() > 80 || production.length() > 80 || performer.length() > 80) {
                wrong.put("title", "Names take up to 80 letters.");
            }
            if (idea.length() > 600) {
                wrong.put("idea", "The idea takes up to 600 letters; this has " + idea.length() + ".");
            }
            if (performer.isBlank()) {
                wrong.put("performer", "Say who is in the chair.");
            }
            LocalDateTime call = call();
            List<Hands> hands = hands(call);
            Performer who = new Performer(
                    performer.strip(),
                    (int) number("height", height, 0),
                    (int) number("weight", weight, 0),
                    number("head", head, 0),
                    new LinkedHashSet<>(reactsTo),
                    brows,
                    hair);
            Room room = new Room(
                    number("temperature", temperature, Double.NaN), number("humidity", humidity, Double.NaN), (int)
                            number("dryers", dryers, 0));
            Optional<LocalDateTime> seat = seat(call);
            int costume = (int) number("costumeMinutes", costumeMinutes, 0);
            Purpose purpose = new Purpose(
                    seen,
                    within("lastsHours", lastsHours, 48, "Hours it must last: 0 to 48."),
                    Set.copyOf(mustVanish),
                    moneyShort,
                    within("benchDays", benchDays, 60, "Free days on the bench: 0 to 60."));
            Optional<Breaks> breaks = breaks();
            if (!wrong.isEmpty() || breaks.isEmpty()) {
                return Optional.empty();
            }
            return Optional.of(new Brief(
                    call, seat, who, hands, room, Set.copyOf(covers), costume, selfApplied, purpose, breaks.get()));
        }

        private Optional<Breaks> breaks() {
            int every = within("breakEvery", breakEvery, 240, "A break every 20 to 240 minutes.");
            int length = within("breakMinutes", breakMinutes, 60, "A break lasts 5 to 60 minutes.");
            int meal = within("mealMinutes", mealMinutes, 90, "A meal lasts as long as a break, up to 90 minutes.");
            if (every < 20) {
                wrong.put("breakEvery", "A break every 20 to 240 minutes.");
            } else if (length < 5) {
                wrong.put("breakMinutes", "A break lasts 5 to 60 minutes.");
            } else if (meal < length) {
                wrong.put("mealMinutes", "A meal lasts as long as a break, up to 90 minutes.");
            } else {
                return Optional.of(new Breaks(every, length, meal));
            }
            return Optional.empty();
        }

        private int within(String field, String typed, int most, String says) {
            double value = number(field, typed, 0);
            if (value < 0 || value > most) {
                wrong.put(field, says);
            }
            return (int) value;
        }

        private LocalDateTime call() {
            try {
                LocalDate day = LocalDate.parse(callDay.strip());
                if (!BriefCheck.isDay(day)) {
                    throw new DateTimeParseException("No such year", callDay, 0);
                }
                return day.atTime(LocalTime.parse(callHour.strip()));
            } catch (DateTimeParseException e) {
                wrong.put("call", "Set the call as a day and an hour, such as 2026-12-03 and 07:45.");
                return LocalDateTime.of(2000, 1, 1, 0, 0);
            }
        }

        private Optional<LocalDateTime> seat(LocalDateTime call) {
            if (chairIn.isBlank()) {
                return Optional.empty();
            }
            return hour("chairIn", chairIn).map(t -> before(call, t));
        }

        /** An hour of the night before belongs to the day before. */
        private LocalDateTime before(LocalDateTime call, LocalTime time) {
            LocalDateTime same = call.toLocalDate().atTime(time);
            return same.isBefore(call) || same.equals(call) || time.getHour() < 18 ? same : same.minusDays(1);
        }

        private Optional<LocalTime> hour(String field, String typed) {
            try {
                return Optional.of(LocalTime.parse(typed.strip()));
            } catch (DateTimeParseException e) {
                wrong.put(field, "'" + typed + "' is no hour; write it as 05:00.");
                return Optional.empty();
            }
        }

        private List<Hands> hands(LocalDateTime call) {
            List<Hands> hands = new ArrayList<>();
            for (HandsForm line : crew) {
                if (line.name.isBlank()) {
                    continue;
                }
                if (line.name.length() > 40) {
                    wrong.put("crew", "Names of artists take up to 40 letters.");
                }
                LocalDateTime from = line.from.isBlank()
                        ? call.minusHours(14)
                        : hour("crew", line.from).map(t -> before(call, t)).orElse(call.minusHours(14));
                LocalDateTime until = line.until.isBlank()
                        ? call.plusHours(10)
                        : hour("crew", line.until)
                                .map(t -> untilAfter(call, from, t))
                                .orElse(call.plusHours(10));
                hands.add(new Hands(line.name.strip(), line.skill, from, until));
            }
            return hands;
        }

        private LocalDateTime untilAfter(LocalDateTime call, LocalDateTime from, LocalTime time) {
            LocalDateTime same = call.toLocalDate().atTime(time);
            return same.isAfter(from) || from.toLocalDate().equals(call.toLocalDate()) ? same : same.plusDays(1);
        }

        private double number(String field, String typed, double whenEmpty) {
            if (typed.isBlank() && !Double.isNaN(whenEmpty)) {
                return whenEmpty;
            }
            try {
                double value = Double.parseDouble(typed.strip().replace(',', '.'));
                if (Double.isFinite(value) && Math.abs(value) < 100_000) {
                    return value;
                }
            } catch (NumberFormatException e) {
                // said below, the same way as for a number that is out of all proportion
            }
            wrong.put(field, "'" + typed + "' is no number that can be meant here.");
            return 0;
        }
    }

    /** Whether it is done in the room whose air the house measures. */
    public boolean isAtSensor() {
        return atSensor;
    }

    public void setAtSensor(boolean atSensor) {
        this.atSensor = atSensor;
    }

    Reading read() {
        return new Reading();
    }

    public String getTitle() {
        return title;
    }

    public void setTitle(String title) {
        this.title = title;
    }

    public String getProduction() {
        return production;
    }

    public void setProduction(String production) {
        this.production = production;
    }

    public String getIdea() {
        return idea;
    }

    public void setIdea(String idea) {
        this.idea = idea;
    }

    public String getPerformer() {
        return performer;
    }

    public void setPerformer(String performer) {
        this.performer = performer;
    }

    public String getHeight() {
        return height;
    }

    public void setHeight(String height) {
        this.height = height;
    }

    public String getWeight() {
        return weight;
    }

    public void setWeight(String weight) {
        this.weight = weight;
    }

    public String getHead() {
        return head;
    }

    public void setHead(String head) {
        this.head = head;
    }

    public List<String> getReactsTo() {
        return reactsTo;
    }

    public void setReactsTo(List<String> reactsTo) {
        this.reactsTo = reactsTo;
    }

    public String getCallDay() {
        return callDay;
    }

    public void setCallDay(String callDay) {
        this.callDay = callDay;
    }

    public String getCallHour() {
        return callHour;
    }

    public void setCallHour(String callHour) {
        this.callHour = callHour;
    }

    public String getChairIn() {
        return chairIn;
    }

    public void setChairIn(String chairIn) {
        this.chairIn = chairIn;
    }

    public String getTemperature() {
        return temperature;
    }

    public void setTemperature(String temperature) {
        this.temperature = temperature;
    }

    public String getHumidity() {
        return humidity;
    }

    public void setHumidity(String humidity) {
        this.humidity = humidity;
    }

    public String getDryers() {
        return dryers;
    }

    public void setDryers(String dryers) {
        this.dryers = dryers;
    }

    public List<String> getCovers() {
        return covers;
    }

    public void setCovers(List<String> covers) {
        this.covers = covers;
    }

    public String getCostumeMinutes() {
        return costumeMinutes;
    }

    public void setCostumeMinutes(String costumeMinutes) {
        this.costumeMinutes = costumeMinutes;
    }

    public boolean isSelfApplied() {
        return selfApplied;
    }

    public void setSelfApplied(boolean selfApplied) {
        this.selfApplied = selfApplied;
    }

    public List<HandsForm> getCrew() {
        return crew;
    }

    public void setCrew(List<HandsForm> crew) {
        this.crew = crew;
    }

    public Brows getBrows() {
        return brows;
    }

    public void setBrows(Brows brows) {
        this.brows = brows;
    }

    public Hair getHair() {
        return hair;
    }

    public void setHair(Hair hair) {
        this.hair = hair;
    }

    public Seen getSeen() {
        return seen;
    }

    public void setSeen(Seen seen) {
        this.seen = seen;
    }

    public String getLastsHours() {
        return lastsHours;
    }

    public void setLastsHours(String lastsHours) {
        this.lastsHours = lastsHours;
    }

    public List<String> getMustVanish() {
        return mustVanish;
    }

    public void setMustVanish(List<String> mustVanish) {
        this.mustVanish = mustVanish;
    }

    public boolean isMoneyShort() {
        return moneyShort;
    }

    public void setMoneyShort(boolean moneyShort) {
        this.moneyShort = moneyShort;
    }

    public String getBreakEvery() {
        return breakEvery;
    }

    public void setBreakEvery(String breakEvery) {
        this.breakEvery = breakEvery;
    }

    public String getBreakMinutes() {
        return breakMinutes;
    }

    public void setBreakMinutes(String breakMinutes) {
        this.breakMinutes = breakMinutes;
    }

    public String getMealMinutes() {
        return mealMinutes;
    }

    public void setMealMinutes(String mealMinutes) {
        this.mealMinutes = mealMinutes;
    }

    public String getBenchDays() {
        return benchDays;
    }

    public void setBenchDays(String benchDays) {
        this.benchDays = benchDays;
    }
}
