package app.kemdro.web.records.paint;

import java.util.List;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** The mixes of a job in words, for whoever looks for one. */
@Component
public class KeptMixes {
    private final KeptRecipes recipes;

    KeptMixes(KeptRecipes recipes) {
        this.recipes = recipes;
    }

    /** "bronze crust: 4 Bell castor grease, bronze + 1 Bell castor grease, umber". */
    public List<String> of(long job) {
        return recipes.of(job).stream()
                .map(r -> r.name() + ": "
                        + r.parts().stream()
                                .map(p -> p.parts() + " " + p.paint())
                                .collect(Collectors.joining(" + ")))
                .toList();
    }
}
