package app.kemdro.web.records.habit;

import app.kemdro.core.habit.Habit;
import app.kemdro.core.habit.Money;
import app.kemdro.web.parts.habit.Reader;
import app.kemdro.web.parts.habit.Readers;
import java.util.Map;
import java.util.concurrent.atomic.AtomicReference;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps habits. They are asked for at each press, so they are held. */
@Service
public class Habits implements Readers {
    private final HabitRepository habits;
    private final MoneyRepository moneys;
    private final AtomicReference<@Nullable Held> held = new AtomicReference<>();

    Habits(HabitRepository habits, MoneyRepository moneys) {
        this.habits = habits;
        this.moneys = moneys;
    }

    private record Held(Map<String, Choice> choices, Money money) {
        Choice of(@Nullable String account) {
            return account == null ? Choice.NONE : choices.getOrDefault(account, Choice.NONE);
        }

        Choice house() {
            return of(HabitRow.HOUSE);
        }
    }

    @Override
    public Reader of(@Nullable String account) {
        Held now = held();
        return new Reader(now.of(account).over(now.house().over(Habit.STANDARD)), now.money());
    }

    /** What this account chose itself. */
    public Choice chosen(String account) {
        return held().of(account);
    }

    public Money money() {
        return held().money();
    }

    public void choose(String account, Choice choice) {
        habits.save(new HabitRow(account, choice));
        held.set(null);
    }

    /** Forgets what an account chose, as when it is taken away. */
    @Transactional
    public void forget(String account) {
        habits.deleteById(account);
        held.set(null);
    }

    public void chooseForHouse(Choice choice, Money money) {
        habits.save(new HabitRow(HabitRow.HOUSE, choice));
        moneys.save(new MoneyRow(money));
        held.set(null);
    }

    private Held held() {
        Held now = held.get();
        if (now == null) {
            now = new Held(
                    habits.findAll().stream().collect(Collectors.toMap(HabitRow::account, HabitRow::choice)),
                    moneys.findById(MoneyRow.ONLY).map(MoneyRow::money).orElse(Money.EURO));
            held.set(now);
        }
        return now;
    }
}
