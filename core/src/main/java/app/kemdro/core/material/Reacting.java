package app.kemdro.core.material;

/**
 * A material of parts that react: it can be worked until its pot life ends and has set some time later. Both halve for every
 * 10 °C more (a rule of thumb of kinetics, common practice).
 *
 * @param potMinutes minutes from mixing until it no longer flows, at 23 °C
 * @param setMinutes minutes from mixing until it may be handled, at 23 °C
 * @param thicknessMm mm as it is laid
 */
public record Reacting(double potMinutes, double setMinutes, double thicknessMm) implements Setting {

    @Override
    public Reacting times(double factor) {
        return new Reacting(potMinutes, setMinutes, thicknessMm * factor);
    }

    @Override
    public boolean grabs() {
        return true;
    }
}
