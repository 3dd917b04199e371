package org.grenu.launch;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.Architectures.layeredArchitecture;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.base.DescribedPredicate;
import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.core.importer.ImportOption.DoNotIncludeTests;
import com.tngtech.archunit.core.importer.Location;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;
import java.util.List;

@AnalyzeClasses(packages = "org.grenu", importOptions = {DoNotIncludeTests.class, LayersTest.WithoutOthersTests.class})
class LayersTest {

    private static final List<String> ROOMS = List.of("calculator", "compare", "importing", "ledger", "rack", "read",
            "records", "shelf", "strength");
    private static final DescribedPredicate<JavaClass> DRAW = DescribedPredicate.describe("draw",
            type -> type.getPackageName().startsWith("org.grenu.desktop") && type.getDirectDependenciesFromSelf()
                    .stream()
                    .anyMatch(use -> use.getTargetClass().getPackageName().startsWith("javafx.scene")));

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

    /** A room is a place of work; rooms meet on the desk and in the shell, never each other. */
    @ArchTest
    static final ArchRule roomsDoNotKnowEachOther = rooms();

    private static ArchRule rooms() {
        var layers = layeredArchitecture().consideringOnlyDependenciesInLayers();
        for (String own : List.of("control", "action", "desk", "entry", "find", "shell")) {
            layers = layers.layer(own).definedBy("org.grenu.desktop." + own);
        }
        for (String room : ROOMS) {
            layers = layers.layer(room).definedBy("org.grenu.desktop." + room);
        }
        layers = layers.whereLayer("control")
                .mayNotAccessAnyLayer()
                .whereLayer("action")
                .mayOnlyAccessLayers("control")
                .whereLayer("desk")
                .mayOnlyAccessLayers("control")
                .whereLayer("entry")
                .mayOnlyAccessLayers("control", "desk")
                .whereLayer("find")
                .mayOnlyAccessLayers("control", "action");
        for (String room : ROOMS) {
            layers = layers.whereLayer(room).mayOnlyAccessLayers("control", "action", "desk", "entry");
        }
        return layers;
    }

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

    /** What draws may format and lay out; measuring is the core's, reading and writing the desk's. */
    @ArchTest
    static final ArchRule whatDrawsComputesAndStoresNothing = noClasses().that(DRAW)
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage("org.grenu.core.model..", "org.grenu.app.analysis..")
            .orShould()
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
            .haveFullyQualifiedName("org.grenu.library.Transactions");

    @ArchTest
    static final ArchRule noUtilsAndNoManagers = classes().should()
            .haveNameNotMatching(".*(Utils?|Manager|Helper|Helpers)$");

    @ArchTest
    static final ArchRule packagesHaveNoCycles = slices().matching("org.grenu.(**)").should().beFreeOfCycles();
}
