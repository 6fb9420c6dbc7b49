package mensor;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.Architectures.layeredArchitecture;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;

/** The core knows no framework, and its packages depend in one direction. */
@AnalyzeClasses(packages = "mensor", importOptions = ImportOption.DoNotIncludeTests.class)
class ArchitectureTest {
    @ArchTest
    static final ArchRule noFramework = noClasses()
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage(
                    "org.springframework..",
                    "tools.jackson..",
                    "com.fasterxml..",
                    "jakarta..",
                    "org.hibernate..",
                    "java.sql..",
                    "java.nio.file..");

    @ArchTest
    static final ArchRule noClockAndNoChance = noClasses()
            .that()
            .haveSimpleNameNotStartingWith("Simulated") // outside devices that stand in: their noise comes from a seed
            .should()
            .dependOnClassesThat()
            .haveFullyQualifiedName("java.util.Random")
            .orShould()
            .dependOnClassesThat()
            .haveFullyQualifiedName("java.time.Clock");

    @ArchTest
    static final ArchRule noCycles = slices().matching("mensor.(*)..").should().beFreeOfCycles();

    @ArchTest
    static final ArchRule oneDirection = layeredArchitecture()
            .consideringOnlyDependenciesInLayers()
            .withOptionalLayers(true)
            .layer("length")
            .definedBy("mensor.length..")
            .layer("weld")
            .definedBy("mensor.weld..")
            .layer("look")
            .definedBy("mensor.inspection..")
            .layer("plan")
            .definedBy("mensor.plan..")
            .layer("line")
            .definedBy("mensor.line..")
            .layer("criteria")
            .definedBy("mensor.criteria..")
            .layer("judge")
            .definedBy("mensor.judge..")
            .layer("cause")
            .definedBy("mensor.cause..")
            .layer("draw")
            .definedBy("mensor.drawing..")
            .layer("repair")
            .definedBy("mensor.repair..")
            .layer("proof")
            .definedBy("mensor.testpiece..")
            .layer("rate")
            .definedBy("mensor.rejectrate..")
            .layer("scan")
            .definedBy("mensor.scan..")
            .layer("picture")
            .definedBy("mensor.picture..")
            .layer("practice")
            .definedBy("mensor.practice..")
            .layer("study")
            .definedBy("mensor.study..")
            .whereLayer("picture")
            .mayOnlyAccessLayers("weld")
            .whereLayer("practice")
            .mayOnlyAccessLayers("length", "weld", "look")
            .whereLayer("scan")
            .mayNotAccessAnyLayer()
            .whereLayer("study")
            .mayOnlyAccessLayers("length", "weld", "rate")
            .whereLayer("proof")
            .mayOnlyAccessLayers("length", "weld", "look")
            .whereLayer("rate")
            .mayNotAccessAnyLayer()
            .whereLayer("length")
            .mayNotAccessAnyLayer()
            .whereLayer("weld")
            .mayOnlyAccessLayers("length")
            .whereLayer("look")
            .mayOnlyAccessLayers("length", "weld")
            .whereLayer("plan")
            .mayOnlyAccessLayers("length", "weld", "look")
            .whereLayer("line")
            .mayOnlyAccessLayers("length", "weld", "look")
            .whereLayer("criteria")
            .mayOnlyAccessLayers("length", "weld", "look")
            .whereLayer("judge")
            .mayOnlyAccessLayers("length", "weld", "look", "criteria")
            .whereLayer("draw")
            .mayOnlyAccessLayers("length", "weld", "look", "criteria", "judge")
            .whereLayer("cause")
            .mayOnlyAccessLayers("length", "weld", "look", "criteria", "judge");
}
