package app.kemdro.core.climate;

/** Air at a film: the room's own, or a hand dryer's. */
public enum Blow {
    STILL(Evaporation.STILL_AIR),
    COOL(Evaporation.COOL_DRYER),
    /** A dryer on warm, held so far away that its air reaches the skin at 40 °C at most. */
    WARM(Evaporation.COOL_DRYER);

    /**
     * Warmest air that may reach skin, °C: under the 43 °C that ISO 13732-1 gives for long contact (from memory); cool is the
     * rule on faces and caps.
     */
    public static final double SKIN_LIMIT = 40;

    private final double speed;

    Blow(double speed) {
        this.speed = speed;
    }

    /** m/s at the film. */
    public double speed() {
        return speed;
    }

    /** The air at the film when it is taken from this room; warming it does not change how much vapour it holds. */
    public HumidAir from(HumidAir room) {
        if (this != WARM || room.temperatureC() >= SKIN_LIMIT) {
            return room;
        }
        double humidity = room.vapourPressure() / HumidAir.saturationPressure(SKIN_LIMIT);
        return new HumidAir(SKIN_LIMIT, Math.max(0.05, humidity));
    }
}
