package org.grenu.core;

import static com.tngtech.archunit.library.Architectures.layeredArchitecture;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;

import com.tngtech.archunit.core.importer.ImportOption.DoNotIncludeTests;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;

@AnalyzeClasses(packages = "org.grenu.core", importOptions = DoNotIncludeTests.class)
class ArchitectureTest {

    /** From quantities up to findings; {@code puck} stands aside and is used by nobody in here. */
    @ArchTest
    static final ArchRule packagesUseOnlyWhatLiesBelow = layeredArchitecture().consideringOnlyDependenciesInLayers()
            .layer("quantity").definedBy("..core.quantity").layer("curve").definedBy("..core.curve")
            .layer("hydraulics").definedBy("..core.hydraulics").layer("profile").definedBy("..core.profile")
            .layer("phase").definedBy("..core.phase")
            .layer("strength").definedBy("..core.strength").layer("extraction").definedBy("..core.extraction")
            .layer("entry").definedBy("..core.entry")
            .layer("study").definedBy("..core.study").layer("shelf").definedBy("..core.shelf").layer("diagnosis").definedBy("..core.diagnosis")
            .layer("model").definedBy("..core.model").optionalLayer("compare").definedBy("..core.compare")
            .layer("puck").definedBy("..core.puck")
            .whereLayer("diagnosis").mayNotBeAccessedByAnyLayer()
            .whereLayer("compare").mayNotBeAccessedByAnyLayer()
            .whereLayer("model").mayOnlyBeAccessedByLayers("compare")
            .whereLayer("puck").mayNotBeAccessedByAnyLayer()
            .whereLayer("shelf").mayOnlyBeAccessedByLayers("puck")
            .whereLayer("study").mayOnlyBeAccessedByLayers("shelf", "diagnosis", "compare", "puck")
            .whereLayer("entry").mayOnlyBeAccessedByLayers("study", "shelf", "puck")
            .whereLayer("phase").mayOnlyBeAccessedByLayers("entry", "study", "diagnosis", "compare", "puck")
            .whereLayer("profile").mayOnlyBeAccessedByLayers("entry", "phase", "study", "diagnosis", "compare", "puck")
            .whereLayer("hydraulics").mayOnlyBeAccessedByLayers("study", "shelf", "diagnosis", "compare", "puck")
            .whereLayer("extraction").mayOnlyBeAccessedByLayers("study", "shelf", "diagnosis", "compare")
            .whereLayer("strength").mayOnlyBeAccessedByLayers("entry", "study", "shelf", "diagnosis", "compare")
            .whereLayer("curve").mayOnlyBeAccessedByLayers("entry", "shelf", "hydraulics", "profile", "phase", "study", "diagnosis", "compare", "model", "puck");

    @ArchTest
    static final ArchRule coreKnowsNoFilesDatabaseThreadsOrInterface = noClasses().should().dependOnClassesThat()
            .resideInAnyPackage("java.io..", "java.nio.file..", "java.sql..", "javax..", "java.awt..", "javafx..",
                    "java.util.concurrent..", "org.jdbi..")
            .because("core is pure computation: the same input gives the same output anywhere");
}
