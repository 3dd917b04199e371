package org.grenu.core;

import static com.tngtech.archunit.library.Architectures.layeredArchitecture;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;

import com.tngtech.archunit.core.importer.ImportOption.DoNotIncludeTests;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;

@AnalyzeClasses(packages = "org.grenu.core", importOptions = DoNotIncludeTests.class)
class ArchitectureTest {

    /** From numbers up; statistics know numbers only, and {@code puck} stands aside and is used by nobody in here. */
    @ArchTest
    static final ArchRule packagesUseOnlyWhatLiesBelow = layeredArchitecture().consideringOnlyDependenciesInLayers()
            .layer("numbers")
            .definedBy("..core.numbers")
            .layer("quantity")
            .definedBy("..core.quantity")
            .layer("curve")
            .definedBy("..core.curve")
            .layer("model")
            .definedBy("..core.model")
            .layer("hydraulics")
            .definedBy("..core.hydraulics")
            .layer("profile")
            .definedBy("..core.profile")
            .layer("phase")
            .definedBy("..core.phase")
            .layer("strength")
            .definedBy("..core.strength")
            .layer("extraction")
            .definedBy("..core.extraction")
            .layer("entry")
            .definedBy("..core.entry")
            .layer("study")
            .definedBy("..core.study")
            .layer("shelf")
            .definedBy("..core.shelf")
            .layer("diagnosis")
            .definedBy("..core.diagnosis")
            .layer("response")
            .definedBy("..core.response")
            .layer("compare")
            .definedBy("..core.compare")
            .layer("puck")
            .definedBy("..core.puck")
            .whereLayer("numbers")
            .mayNotAccessAnyLayer()
            .whereLayer("model")
            .mayOnlyAccessLayers("numbers")
            .whereLayer("quantity")
            .mayOnlyAccessLayers("numbers")
            .whereLayer("curve")
            .mayOnlyAccessLayers("numbers", "quantity")
            .whereLayer("diagnosis")
            .mayNotBeAccessedByAnyLayer()
            .whereLayer("compare")
            .mayNotBeAccessedByAnyLayer()
            .whereLayer("model")
            .mayOnlyBeAccessedByLayers("compare")
            .whereLayer("response")
            .mayOnlyBeAccessedByLayers("compare")
            .whereLayer("puck")
            .mayNotBeAccessedByAnyLayer()
            .whereLayer("shelf")
            .mayOnlyBeAccessedByLayers("puck")
            .whereLayer("study")
            .mayOnlyBeAccessedByLayers("shelf", "diagnosis", "response", "compare", "puck")
            .whereLayer("entry")
            .mayOnlyBeAccessedByLayers("study", "shelf", "puck")
            .whereLayer("phase")
            .mayOnlyBeAccessedByLayers("entry", "study", "diagnosis", "puck")
            .whereLayer("profile")
            .mayOnlyBeAccessedByLayers("entry", "phase", "study", "diagnosis", "puck")
            .whereLayer("hydraulics")
            .mayOnlyBeAccessedByLayers("study", "shelf", "diagnosis", "response", "compare", "puck")
            .whereLayer("extraction")
            .mayOnlyBeAccessedByLayers("study", "shelf", "diagnosis", "response", "compare")
            .whereLayer("strength")
            .mayOnlyBeAccessedByLayers("entry", "study", "shelf", "diagnosis");

    @ArchTest
    static final ArchRule coreKnowsNoFilesDatabaseThreadsOrInterface = noClasses().should()
            .dependOnClassesThat()
            .resideInAnyPackage("java.io..", "java.nio.file..", "java.sql..", "javax..", "java.awt..", "javafx..",
                    "java.util.concurrent..", "org.jdbi..")
            .because("core is pure computation: the same input gives the same output anywhere");
}
