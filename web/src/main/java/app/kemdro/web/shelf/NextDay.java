package app.kemdro.web.shelf;

import app.kemdro.core.look.Brief;
import app.kemdro.core.look.Brief.Hands;

/** A brief a day later. */
final class NextDay {
    private NextDay() {}

    static Brief of(Brief brief) {
        return new Brief(
                brief.call().plusDays(1),
                brief.chairIn().map(t -> t.plusDays(1)),
                brief.performer(),
                brief.crew().stream()
                        .map(h -> new Hands(
                                h.name(),
                                h.skill(),
                                h.from().plusDays(1),
                                h.until().plusDays(1)))
                        .toList(),
                brief.room(),
                brief.costumeCovers(),
                brief.costumeMinutes(),
                brief.selfApplied(),
                brief.purpose());
    }
}
