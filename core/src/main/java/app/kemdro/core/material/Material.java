package app.kemdro.core.material;

import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * A family of products.
 *
 * @param film how its coat dries, or none for what does not dry
 * @param lookFor the test an artist looks for, empty when there is none
 * @param remover what takes it off, empty when nothing is needed
 * @param contains families of reaction that bar it for a performer
 */
public record Material(
        String id,
        String name,
        String kind,
        @Nullable Film film,
        String lookFor,
        String remover,
        Set<String> contains,
        List<String> ruins,
        List<String> cautions) {}
