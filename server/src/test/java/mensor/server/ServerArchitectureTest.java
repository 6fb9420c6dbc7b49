package mensor.server;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;

/** Packages by feature without cycles; the command line and the core know nothing of the server. */
@AnalyzeClasses(packages = "mensor", importOptions = ImportOption.DoNotIncludeTests.class)
class ServerArchitectureTest {
    @ArchTest
    static final ArchRule noCycles =
            slices().matching("mensor.server.(*)..").should().beFreeOfCycles();

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
