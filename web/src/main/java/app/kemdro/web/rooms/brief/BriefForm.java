package app.kemdro.web.rooms.brief;

import app.kemdro.core.hour.Wall;
import app.kemdro.core.look.Brief;
import app.kemdro.core.look.Brief.Brows;
import app.kemdro.core.look.Brief.Hair;
import app.kemdro.core.look.Brief.Seen;
import app.kemdro.web.parts.typed.TypedDay;
import app.kemdro.web.records.job.Job;
import jakarta.validation.Valid;
import jakarta.validation.Validator;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;

/** The brief as typed: everything is text until it is read, so that what was typed stays when it cannot be meant. */
public class BriefForm {
    private static final int HANDS = 3;
    private static final String NAMES = "Names take up to 80 letters.";

    private boolean atSensor;
    private String start = "";

    @NotBlank(message = "Say who the character is.")
    @Size(max = 80, message = NAMES)
    private String title = "";

    @Size(max = 80, message = NAMES)
    private String production = "";

    @Size(max = 600, message = "The idea takes up to 600 letters.")
    private String idea = "";

    @NotBlank(message = "Say who is in the chair.")
    @Size(max = 80, message = NAMES)
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
    private List<@Size(max = 20) String> fineHair = new ArrayList<>();
    private Seen seen = Seen.CAMERA;
    private String lastsHours = "8";
    private List<String> mustVanish = new ArrayList<>();
    private boolean moneyShort;
    private String benchDays = "3";
    private String breakEvery = "120";
    private String breakMinutes = "10";
    private String mealMinutes = "30";
    private List<@Valid HandsForm> crew = new ArrayList<>();

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
        form.callDay = TypedDay.shown(brief.call().toLocalDate());
        form.callHour = brief.call().toLocalTime().toString();
        form.chairIn =
                brief.chairIn().map(t -> Wall.at(t).toLocalTime().toString()).orElse("");
        form.temperature = number(brief.room().temperatureC());
        form.humidity = number(brief.room().humidityPercent());
        form.dryers = Integer.toString(brief.room().dryers());
        form.covers = new ArrayList<>(brief.costumeCovers());
        form.costumeMinutes = Integer.toString(brief.costumeMinutes());
        form.selfApplied = brief.selfApplied();
        form.brows = brief.performer().brows();
        form.hair = brief.performer().hair();
        form.fineHair = new ArrayList<>(brief.performer().fineHair());
        form.seen = brief.purpose().seen();
        form.lastsHours = Integer.toString(brief.purpose().lastsHours());
        form.mustVanish = new ArrayList<>(brief.purpose().mustVanish());
        form.moneyShort = brief.purpose().moneyShort();
        form.benchDays = Integer.toString(brief.purpose().benchDays());
        form.breakEvery = Integer.toString(brief.breaks().every());
        form.breakMinutes = Integer.toString(brief.breaks().minutes());
        form.mealMinutes = Integer.toString(brief.breaks().meal());
        brief.crew().stream().map(HandsForm::of).forEach(form.crew::add);
        form.fillCrew();
        return form;
    }

    static String number(double value) {
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

    /** Whether it is done in the room whose air the house measures. */
    public boolean isAtSensor() {
        return atSensor;
    }

    public void setAtSensor(boolean atSensor) {
        this.atSensor = atSensor;
    }

    BriefReading read(Validator validator, LocalDate today) {
        return new BriefReading(this, validator, today);
    }

    /** The kept look it begins with, or empty. */
    public String getStart() {
        return start;
    }

    public void setStart(String start) {
        this.start = start;
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

    public List<String> getFineHair() {
        return fineHair;
    }

    public void setFineHair(List<String> fineHair) {
        this.fineHair = fineHair;
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
