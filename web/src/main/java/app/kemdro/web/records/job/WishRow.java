package app.kemdro.web.records.job;

import app.kemdro.core.look.Wish;
import jakarta.persistence.Embeddable;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;

/** A wish about the order as stored. */
@Embeddable
record WishRow(@Enumerated(EnumType.STRING) Wish.Kind kind, String step, String target, int minutes) {
    static WishRow of(Wish wish) {
        return new WishRow(wish.kind(), wish.step(), wish.to(), wish.minutes());
    }

    Wish wish() {
        return new Wish(kind, step, target, minutes);
    }
}
