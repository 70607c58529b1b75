package app.kemdro.web.records.shelf;

import app.kemdro.core.method.Trade;
import app.kemdro.web.parts.figure.FigureModel;
import app.kemdro.web.parts.figure.FigureModel.Tint;
import app.kemdro.web.parts.json.Json;
import app.kemdro.web.parts.ribbon.Ribbon;
import java.util.Set;
import org.springframework.stereotype.Component;

/** A job on the shelf for those who do not work on it: when, and nothing else, in the page's source as well. */
@Component
public class TimesOnly {
    private final Json json;
    private final String blank;

    TimesOnly(Json json, Trade trade) {
        this.json = json;
        this.blank = json.text(FigureModel.of(trade.body(), Set.of(), z -> Tint.NONE));
    }

    /**
     * The same job with less.
     *
     * @param names whether they may read who sits
     */
    public OnShelf of(OnShelf job, boolean names) {
        return job.timesOnly(
                names ? job.performer() : "",
                blank,
                json.text(json.read(job.ribbon(), Ribbon.class).timesOnly()));
    }
}
