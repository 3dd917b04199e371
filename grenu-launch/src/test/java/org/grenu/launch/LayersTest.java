package org.grenu.launch;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.Architectures.layeredArchitecture;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.core.importer.ImportOption.DoNotIncludeTests;
import com.tngtech.archunit.core.importer.Location;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;

@AnalyzeClasses(packages = "org.grenu", importOptions = {DoNotIncludeTests.class, LayersTest.WithoutOthersTests.class})
class LayersTest {

    /** The core lends its tests' studies as a jar. */
    static final class WithoutOthersTests implements ImportOption {
        @Override
        public boolean includes(Location location) {
            return !location.contains("-tests.jar");
        }
    }

    @ArchTest
    static final ArchRule modulesUseOnlyWhatLiesBelow = layeredArchitecture().consideringOnlyDependenciesInLayers()
            .layer("core")
            .definedBy("org.grenu.core..")
            .layer("formats")
            .definedBy("org.grenu.formats..")
            .layer("library")
            .definedBy("org.grenu.library..")
            .layer("figures")
            .definedBy("org.grenu.figures..")
            .layer("app")
            .definedBy("org.grenu.app..")
            .layer("cli")
            .definedBy("org.grenu.cli..")
            .layer("desktop")
            .definedBy("org.grenu.desktop..")
            .layer("launch")
            .definedBy("org.grenu.launch..")
            .whereLayer("core")
            .mayNotAccessAnyLayer()
            .whereLayer("formats")
            .mayOnlyAccessLayers("core")
            .whereLayer("library")
            .mayOnlyAccessLayers("core")
            .whereLayer("figures")
            .mayOnlyAccessLayers("core")
            .whereLayer("app")
            .mayOnlyAccessLayers("core", "formats", "library", "figures")
            .whereLayer("cli")
            .mayOnlyAccessLayers("core", "formats", "library", "figures", "app")
            .whereLayer("desktop")
            .mayOnlyAccessLayers("core", "formats", "library", "figures", "app");

    @ArchTest
    static final ArchRule onlyTheDesktopKnowsTheToolkit = noClasses().that()
            .resideInAPackage("org.grenu..")
            .and()
            .resideOutsideOfPackage("org.grenu.desktop..")
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage("javafx..");

    @ArchTest
    static final ArchRule onlyCommandsKnowOptions = noClasses().that()
            .resideInAPackage("org.grenu..")
            .and()
            .resideOutsideOfPackages("org.grenu.cli..", "org.grenu.launch..")
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage("picocli..");

    @ArchTest
    static final ArchRule viewModelsHoldNoNodes = noClasses().that()
            .haveSimpleNameEndingWith("ViewModel")
            .or()
            .resideInAPackage("..desktop.desk..")
            .or()
            .haveSimpleNameEndingWith("Text")
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage("javafx.scene..", "javafx.stage..");

    /** A view may format and lay out; measuring is the core's, reading and writing the desk's. */
    @ArchTest
    static final ArchRule viewsComputeAndStoreNothing = noClasses().that()
            .haveSimpleNameEndingWith("View")
            .or()
            .haveSimpleNameEndingWith("Section")
            .or()
            .haveSimpleNameEndingWith("Cell")
            .or()
            .haveSimpleNameEndingWith("Pane")
            .should()
            .dependOnClassesThat()
            .haveFullyQualifiedName("org.grenu.core.record.ShotMeasures")
            .orShould()
            .dependOnClassesThat()
            .haveFullyQualifiedName("org.grenu.core.curve.CurveMeasures")
            .orShould()
            .dependOnClassesThat()
            .haveFullyQualifiedName("org.grenu.core.extraction.Brew")
            .orShould()
            .dependOnClassesThat()
            .haveFullyQualifiedName("org.grenu.library.Library")
            .orShould()
            .dependOnClassesThat()
            .resideInAPackage("org.grenu.formats..");

    @ArchTest
    static final ArchRule noUtilsAndNoManagers = classes().should()
            .haveNameNotMatching(".*(Utils?|Manager|Helper|Helpers)$");

    @ArchTest
    static final ArchRule packagesHaveNoCycles = slices().matching("org.grenu.(**)").should().beFreeOfCycles();
}
