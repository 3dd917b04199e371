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
            .layer("record")
            .definedBy("..core.record")
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
            .layer("rig")
            .definedBy("..core.rig..")
            .layer("demo")
            .definedBy("..core.demo")
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
            .mayOnlyBeAccessedByLayers("rig", "demo")
            .whereLayer("rig")
            .mayOnlyBeAccessedByLayers("demo")
            .whereLayer("demo")
            .mayNotBeAccessedByAnyLayer()
            .whereLayer("shelf")
            .mayOnlyBeAccessedByLayers("rig", "demo")
            .whereLayer("record")
            .mayOnlyBeAccessedByLayers("shelf", "diagnosis", "response", "compare", "puck", "rig", "demo")
            .whereLayer("entry")
            .mayOnlyBeAccessedByLayers("record", "shelf", "rig", "demo")
            .whereLayer("phase")
            .mayOnlyBeAccessedByLayers("entry", "record", "diagnosis", "rig", "demo")
            .whereLayer("profile")
            .mayOnlyBeAccessedByLayers("entry", "phase", "record", "diagnosis", "rig", "demo")
            .whereLayer("hydraulics")
            .mayOnlyBeAccessedByLayers("record", "shelf", "diagnosis", "response", "compare", "puck", "rig", "demo")
            .whereLayer("extraction")
            .mayOnlyBeAccessedByLayers("record", "shelf", "diagnosis", "response", "compare")
            .whereLayer("strength")
            .mayOnlyBeAccessedByLayers("entry", "record", "shelf", "diagnosis");

    @ArchTest
    static final ArchRule coreKnowsNoFilesDatabaseThreadsOrInterface = noClasses().should()
            .dependOnClassesThat()
            .resideInAnyPackage("java.io..", "java.nio.file..", "java.sql..", "javax..", "java.awt..", "javafx..",
                    "java.util.concurrent..", "org.jdbi..")
            .because("core is pure computation: the same input gives the same output anywhere");
}
