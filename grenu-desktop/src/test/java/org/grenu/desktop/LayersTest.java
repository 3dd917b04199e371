package org.grenu.desktop;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
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
    static final ArchRule modulesKnowOnlyTheCoreBelowThem = noClasses().that().resideInAnyPackage("..formats..", "..library..", "..figures..")
            .should().dependOnClassesThat().resideInAnyPackage("org.grenu.cli..", "org.grenu.desktop..", "javafx..");

    @ArchTest
    static final ArchRule formatsLibraryAndFiguresDoNotKnowEachOther = slices().matching("org.grenu.(formats|library|figures)..")
            .should().notDependOnEachOther();

    @ArchTest
    static final ArchRule theCommandLineOpensNoWindow = noClasses().that().resideInAPackage("org.grenu.cli..")
            .should().dependOnClassesThat().resideInAnyPackage("org.grenu.desktop..", "javafx..");

    @ArchTest
    static final ArchRule viewModelsHoldNoNodes = noClasses().that().haveSimpleNameEndingWith("ViewModel").or().resideInAPackage("..desktop.desk..")
            .or().haveSimpleNameEndingWith("Text")
            .should().dependOnClassesThat().resideInAnyPackage("javafx.scene..", "javafx.stage..");

    /** A view may format and lay out; measuring is the core's, reading and writing the desk's. */
    @ArchTest
    static final ArchRule viewsComputeAndStoreNothing = noClasses().that().haveSimpleNameEndingWith("View").or().haveSimpleNameEndingWith("Section")
            .or().haveSimpleNameEndingWith("Cell").or().haveSimpleNameEndingWith("Pane")
            .should().dependOnClassesThat().haveFullyQualifiedName("org.grenu.core.study.ShotMeasures")
            .orShould().dependOnClassesThat().haveFullyQualifiedName("org.grenu.core.curve.CurveMeasures")
            .orShould().dependOnClassesThat().haveFullyQualifiedName("org.grenu.core.extraction.Brew")
            .orShould().dependOnClassesThat().haveFullyQualifiedName("org.grenu.library.Library")
            .orShould().dependOnClassesThat().resideInAPackage("org.grenu.formats..");

    @ArchTest
    static final ArchRule noUtilsAndNoManagers = classes().should().haveNameNotMatching(".*(Utils?|Manager|Helper|Helpers)$");

    @ArchTest
    static final ArchRule packagesHaveNoCycles = slices().matching("org.grenu.(*).(*)..").should().beFreeOfCycles();
}
