package mensor.server;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTag;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;
import jakarta.persistence.Entity;
import org.junit.jupiter.api.Test;
import org.springframework.data.repository.Repository;
import org.springframework.modulith.core.ApplicationModules;

/** Packages by feature without cycles; the command line and the core know nothing of the server. */
@AnalyzeClasses(packages = "mensor", importOptions = ImportOption.DoNotIncludeTests.class)
@ArchTag("embedded")
class ServerArchitectureTest {
    /** Each package is a room: none reaches into another's inside, and no two need one another. */
    @Test
    void roomsKeepTheirBoundaries() {
        ApplicationModules.of(MensorApplication.class).verify();
    }

    /** What a room stores is its own: others see it through the room's services and the interfaces of what is stored. */
    @ArchTest
    static final ArchRule entitiesAndRepositoriesStayInTheirRoom = classes()
            .that()
            .areAnnotatedWith(Entity.class)
            .or()
            .areAssignableTo(Repository.class)
            .should()
            .bePackagePrivate();

    @ArchTest
    static final ArchRule oneDirection = noClasses()
            .that()
            .resideOutsideOfPackage("mensor.server..")
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage("mensor.server..", "org.springframework..");

    @ArchTest
    static final ArchRule coreDoesNotReadFiles = noClasses()
            .that()
            .resideInAnyPackage(
                    "mensor.length..",
                    "mensor.weld..",
                    "mensor.inspection..",
                    "mensor.criteria..",
                    "mensor.judge..",
                    "mensor.cause..",
                    "mensor.drawing..")
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage("mensor.exchange..", "tools.jackson..", "com.fasterxml..");
}
