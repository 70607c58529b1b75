package app.kemdro.web.records.paint;

import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;

interface RecipeRepository extends JpaRepository<KeptRecipe, Long> {
    List<KeptRecipe> findByJobIdOrderByName(long jobId);
}
