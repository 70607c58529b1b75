package app.kemdro.core;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.Architectures.layeredArchitecture;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;

/** The arrows of the house point one way. */
@AnalyzeClasses(packages = "app.kemdro.core", importOptions = ImportOption.DoNotIncludeTests.class)
class ArchitectureTest {
    @ArchTest
    static final ArchRule packagesPointDownwards = layeredArchitecture()
            .consideringOnlyDependenciesInLayers()
            .layer("datafile")
            .definedBy("..core.datafile..")
            .layer("body")
            .definedBy("..core.body..")
            .layer("climate")
            .definedBy("..core.climate..")
            .layer("material")
            .definedBy("..core.material..")
            .layer("cure")
            .definedBy("..core.cure..")
            .layer("method")
            .definedBy("..core.method..")
            .layer("layer")
            .definedBy("..core.layer..")
            .layer("look")
            .definedBy("..core.look..")
            .layer("schedule")
            .definedBy("..core.schedule..")
            .layer("plan")
            .definedBy("..core.plan..")
            .layer("question")
            .definedBy("..core.question..")
            .layer("run")
            .definedBy("..core.run..")
            .layer("colour")
            .definedBy("..core.colour..")
            .layer("sketch")
            .definedBy("..core.sketch..")
            .layer("strike")
            .definedBy("..core.strike..")
            .layer("safety")
            .definedBy("..core.safety..")
            .layer("learn")
            .definedBy("..core.learn..")
            .layer("kit")
            .definedBy("..core.kit..")
            .whereLayer("datafile")
            .mayNotAccessAnyLayer()
            .whereLayer("colour")
            .mayNotAccessAnyLayer()
            .whereLayer("body")
            .mayOnlyAccessLayers("datafile")
            .whereLayer("climate")
            .mayNotAccessAnyLayer()
            .whereLayer("material")
            .mayOnlyAccessLayers("datafile", "body")
            .whereLayer("cure")
            .mayOnlyAccessLayers("climate", "material")
            .whereLayer("method")
            .mayOnlyAccessLayers("datafile", "body", "material")
            .whereLayer("layer")
            .mayOnlyAccessLayers("datafile", "body", "material", "method")
            .whereLayer("look")
            .mayOnlyAccessLayers("method", "body", "material")
            .whereLayer("schedule")
            .mayNotAccessAnyLayer()
            .whereLayer("plan")
            .mayOnlyAccessLayers("look", "layer", "method", "body", "material", "climate", "cure", "schedule")
            .whereLayer("question")
            .mayOnlyAccessLayers("datafile", "plan", "look", "layer", "method", "body", "material", "schedule")
            .whereLayer("run")
            .mayOnlyAccessLayers("plan", "look", "layer", "method", "body", "material", "cure", "schedule")
            .whereLayer("sketch")
            .mayOnlyAccessLayers(
                    "datafile", "colour", "plan", "layer", "look", "method", "body", "material", "schedule")
            .whereLayer("strike")
            .mayOnlyAccessLayers("datafile", "run", "plan", "layer", "look", "method", "body", "material", "schedule")
            .whereLayer("safety")
            .mayOnlyAccessLayers(
                    "datafile", "strike", "plan", "layer", "look", "method", "body", "material", "schedule", "kit")
            .whereLayer("learn")
            .mayNotAccessAnyLayer()
            .whereLayer("kit")
            .mayOnlyAccessLayers("strike", "datafile", "plan", "look", "method", "body", "material", "layer");

    @ArchTest
    static final ArchRule noFrameworkAndNoClockInside = noClasses()
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage("org.springframework..", "jakarta..", "org.hibernate..", "tools.jackson..")
            .orShould()
            .callMethod(java.time.LocalDateTime.class, "now")
            .orShould()
            .callMethod(System.class, "currentTimeMillis");
}
