package app.kemdro.web.rooms.brief;

import app.kemdro.core.look.Brief.Skill;
import app.kemdro.web.parts.typed.TypedDay;
import app.kemdro.web.records.job.Job;
import app.kemdro.web.records.usual.UsualHouse;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** What a new brief begins with. */
final class FreshBrief {
    private FreshBrief() {}

    /** For tomorrow morning, in a costume that covers these zones, with what the house usually has; without that by the hands of whoever writes it. */
    static BriefForm of(LocalDate today, List<String> covers, String lead, Optional<UsualHouse> usual) {
        BriefForm form = new BriefForm();
        form.setCallDay(TypedDay.shown(today.plusDays(1)));
        form.setCallHour("08:00");
        form.setCovers(new ArrayList<>(covers));
        usual.ifPresent(u -> usually(form, u));
        form.fillCrew();
        if (form.getCrew().stream().allMatch(h -> h.getName().isBlank())) {
            form.getCrew().get(0).setSkill(Skill.LEAD);
            form.getCrew().get(0).setName(lead);
        }
        return form;
    }

    private static void usually(BriefForm form, UsualHouse usual) {
        form.setCallHour(usual.call().toString());
        form.setTemperature(BriefForm.number(usual.room().temperatureC()));
        form.setHumidity(BriefForm.number(usual.room().humidityPercent()));
        form.setDryers(Integer.toString(usual.room().dryers()));
        form.setAtSensor(usual.atSensor());
        form.setCostumeMinutes(Integer.toString(usual.costumeMinutes()));
        form.setBenchDays(Integer.toString(usual.benchDays()));
        form.setBreakEvery(Integer.toString(usual.breaks().every()));
        form.setBreakMinutes(Integer.toString(usual.breaks().minutes()));
        form.setMealMinutes(Integer.toString(usual.breaks().meal()));
        form.setCrew(new ArrayList<>(usual.hands().stream().map(HandsForm::of).toList()));
    }

    /** The same, with what a kept look was meant for. */
    static BriefForm with(BriefForm form, long start, Job look) {
        form.setStart(Long.toString(start));
        form.setIdea(look.idea());
        form.setProduction(look.production());
        form.setCovers(new ArrayList<>(look.brief().costumeCovers()));
        form.setCostumeMinutes(Integer.toString(look.brief().costumeMinutes()));
        form.setSeen(look.brief().purpose().seen());
        form.setLastsHours(Integer.toString(look.brief().purpose().lastsHours()));
        form.setMustVanish(new ArrayList<>(look.brief().purpose().mustVanish()));
        form.setMoneyShort(look.brief().purpose().moneyShort());
        form.setBenchDays(Integer.toString(look.brief().purpose().benchDays()));
        return form;
    }
}
