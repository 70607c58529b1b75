package app.kemdro.web;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;
import org.springframework.data.repository.Repository;
import org.springframework.stereotype.Controller;

/** The web is cut by room, and rooms do not go round in circles. */
@AnalyzeClasses(packages = "app.kemdro", importOptions = ImportOption.DoNotIncludeTests.class)
class HouseTest {
    @ArchTest
    static final ArchRule roomsDoNotGoRoundInCircles =
            slices().matching("app.kemdro.web.(*)..").should().beFreeOfCycles();

    @ArchTest
    static final ArchRule coreDoesNotKnowTheWeb = noClasses()
            .that()
            .resideInAPackage("app.kemdro.core..")
            .should()
            .dependOnClassesThat()
            .resideInAPackage("app.kemdro.web..");

    @ArchTest
    static final ArchRule controllersAndRepositoriesStayInTheirRoom = classes()
            .that()
            .areAnnotatedWith(Controller.class)
            .or()
            .areAssignableTo(Repository.class)
            .should()
            .bePackagePrivate();
}
