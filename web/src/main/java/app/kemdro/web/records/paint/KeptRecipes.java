package app.kemdro.web.records.paint;

import app.kemdro.core.colour.Paint;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps mixes with their job. */
@Service
public class KeptRecipes {
    public static final int MOST = 60;

    private final RecipeRepository repository;
    private final Swatches swatches;
    private final ApplicationEventPublisher told;

    KeptRecipes(RecipeRepository repository, Swatches swatches, ApplicationEventPublisher told) {
        this.told = told;
        this.repository = repository;
        this.swatches = swatches;
    }

    public List<KeptRecipe> of(long job) {
        return repository.findByJobIdOrderByName(job);
    }

    /** Keeps a mix of paints by their names, in parts, for an entry of the look. */
    @Transactional
    public void keep(long job, String name, String entry, Map<String, Integer> parts) {
        keep(new KeptRecipe(
                job,
                name,
                entry,
                parts.entrySet().stream()
                        .map(p -> new KeptRecipe.Part(p.getKey(), p.getValue()))
                        .toList()));
    }

    /** Keeps a mix; another of the same name gives way to it. */
    @Transactional
    public void keep(KeptRecipe recipe) {
        of(recipe.jobId()).stream().filter(r -> r.name().equals(recipe.name())).forEach(repository::delete);
        repository.flush();
        repository.save(recipe);
        told.publishEvent(new MixesChanged(recipe.jobId()));
    }

    @Transactional
    public void remove(long job, long id) {
        of(job).stream().filter(r -> r.id() == id).forEach(repository::delete);
        told.publishEvent(new MixesChanged(job));
    }

    /** The paint of a kept mix; empty where one of its paints is no longer in the house. */
    public Optional<Paint> paint(KeptRecipe recipe) {
        return paint(recipe, house(List.of(recipe)));
    }

    /** The paints of the house that these need, by name. */
    private Map<String, Swatch> house(List<KeptRecipe> all) {
        Set<String> names = all.stream()
                .flatMap(r -> r.parts().stream())
                .map(KeptRecipe.Part::paint)
                .collect(Collectors.toSet());
        return names.isEmpty() ? Map.of() : swatches.named(names);
    }

    private Optional<Paint> paint(KeptRecipe recipe, Map<String, Swatch> house) {
        List<Paint.Share> shares = new ArrayList<>();
        for (KeptRecipe.Part part : recipe.parts()) {
            Swatch swatch = house.get(part.paint());
            if (swatch == null) {
                return Optional.empty();
            }
            shares.add(new Paint.Share(swatches.paint(swatch), part.parts()));
        }
        return shares.isEmpty() ? Optional.empty() : Optional.of(Paint.mix(shares));
    }

    /** What each entry of a job's look is painted with, where a mix was kept for it. */
    public Function<String, Optional<Paint>> byEntry(long job) {
        List<KeptRecipe> all = of(job);
        Map<String, Swatch> house = house(all);
        return entry -> all.stream()
                .filter(r -> !r.entry().isEmpty() && r.entry().equals(entry))
                .findFirst()
                .flatMap(r -> paint(r, house));
    }
}
