package app.kemdro.web;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.Architectures.layeredArchitecture;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;
import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.springframework.data.repository.Repository;
import org.springframework.stereotype.Controller;

/** Three rings: rooms are screens, records are what is kept, parts are what both share; arrows go inwards only. */
@AnalyzeClasses(packages = "app.kemdro", importOptions = ImportOption.DoNotIncludeTests.class)
class ArchitectureTest {
    @ArchTest
    static final ArchRule arrowsGoInwardsOnly = layeredArchitecture()
            .consideringOnlyDependenciesInAnyPackage("app.kemdro.web..")
            .layer("start")
            .definedBy("app.kemdro.web")
            .layer("rooms")
            .definedBy("app.kemdro.web.rooms..")
            .layer("records")
            .definedBy("app.kemdro.web.records..")
            .layer("parts")
            .definedBy("app.kemdro.web.parts..")
            .ensureAllClassesAreContainedInArchitectureIgnoring(
                    "app.kemdro.core..", "app.kemdro.solver..", "app.kemdro.bench..")
            .whereLayer("start")
            .mayNotBeAccessedByAnyLayer()
            .whereLayer("rooms")
            .mayOnlyBeAccessedByLayers("start")
            .whereLayer("records")
            .mayOnlyBeAccessedByLayers("start", "rooms");

    @ArchTest
    static final ArchRule noRoomUsesAnother =
            slices().matching("app.kemdro.web.rooms.(*)..").should().notDependOnEachOther();

    @ArchTest
    static final ArchRule recordsDoNotGoRoundInCircles =
            slices().matching("app.kemdro.web.records.(*)..").should().beFreeOfCycles();

    @ArchTest
    static final ArchRule partsDoNotGoRoundInCircles =
            slices().matching("app.kemdro.web.parts.(*)..").should().beFreeOfCycles();

    @ArchTest
    static final ArchRule coreDoesNotKnowTheWeb = noClasses()
            .that()
            .resideInAPackage("app.kemdro.core..")
            .should()
            .dependOnClassesThat()
            .resideInAPackage("app.kemdro.web..");

    @ArchTest
    static final ArchRule screensAreInRooms = classes()
            .that()
            .areAnnotatedWith(Controller.class)
            .should()
            .resideInAnyPackage("app.kemdro.web.rooms..", "app.kemdro.web.parts.mishap")
            .andShould()
            .bePackagePrivate();

    @ArchTest
    static final ArchRule whatIsKeptIsReachedThroughItsService = classes()
            .that()
            .areAssignableTo(Repository.class)
            .should()
            .resideInAPackage("app.kemdro.web.records..")
            .andShould()
            .bePackagePrivate();

    /** A file that says one thing is short. */
    @Test
    void noFileIsLongerThanOneCanTakeIn() throws IOException {
        for (String module : List.of("core", "solver", "web", "bench")) {
            try (Stream<Path> files = Files.walk(Path.of("..", module, "src/main/java"))) {
                for (Path file :
                        files.filter(f -> f.toString().endsWith(".java")).toList()) {
                    assertThat(Files.readAllLines(file)).as(file.toString()).hasSizeLessThanOrEqualTo(400);
                }
            }
        }
    }
}
