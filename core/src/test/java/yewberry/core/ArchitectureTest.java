package yewberry.core;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.Architectures.layeredArchitecture;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;

/** Dependencies point one way, from readers to scenes to text to publications to colour. */
@AnalyzeClasses(packages = "yewberry.core", importOptions = ImportOption.DoNotIncludeTests.class)
class ArchitectureTest {
    @ArchTest
    static final ArchRule PACKAGES_POINT_ONE_WAY =
            layeredArchitecture()
                    .consideringOnlyDependenciesInAnyPackage("yewberry.core..")
                    .layer("color")
                    .definedBy("yewberry.core.color")
                    .layer("publication")
                    .definedBy("yewberry.core.publication")
                    .layer("asset")
                    .definedBy("yewberry.core.asset")
                    .layer("text")
                    .definedBy("yewberry.core.text")
                    .layer("flow")
                    .definedBy("yewberry.core.flow")
                    .layer("edit")
                    .definedBy("yewberry.core.edit")
                    .layer("scene")
                    .definedBy("yewberry.core.scene")
                    .layer("mends")
                    .definedBy("yewberry.core.mends")
                    .layer("compose")
                    .definedBy("yewberry.core.compose")
                    .layer("legibility")
                    .definedBy("yewberry.core.legibility")
                    .layer("press")
                    .definedBy("yewberry.core.press")
                    .layer("findings")
                    .definedBy("yewberry.core.findings")
                    .layer("raster")
                    .definedBy("yewberry.core.raster")
                    .layer("picture")
                    .definedBy("yewberry.core.picture")
                    .layer("strata")
                    .definedBy("yewberry.core.strata")
                    .layer("output")
                    .definedBy("yewberry.core.output")
                    .whereLayer("findings")
                    .mayOnlyBeAccessedByLayers("mends")
                    .whereLayer("picture")
                    .mayNotBeAccessedByAnyLayer()
                    .whereLayer("strata")
                    .mayNotBeAccessedByAnyLayer()
                    .whereLayer("output")
                    .mayNotBeAccessedByAnyLayer()
                    .whereLayer("raster")
                    .mayOnlyBeAccessedByLayers("legibility", "picture", "output")
                    .whereLayer("legibility")
                    .mayOnlyBeAccessedByLayers("compose", "mends", "findings", "output")
                    .whereLayer("mends")
                    .mayOnlyBeAccessedByLayers("output")
                    .whereLayer("compose")
                    .mayOnlyBeAccessedByLayers("mends", "findings", "picture", "output")
                    .whereLayer("press")
                    .mayOnlyBeAccessedByLayers("findings")
                    .whereLayer("scene")
                    .mayOnlyBeAccessedByLayers(
                            "raster",
                            "legibility",
                            "compose",
                            "mends",
                            "press",
                            "findings",
                            "picture",
                            "strata",
                            "output")
                    .whereLayer("asset")
                    .mayOnlyBeAccessedByLayers(
                            "scene",
                            "raster",
                            "legibility",
                            "compose",
                            "mends",
                            "press",
                            "findings",
                            "picture",
                            "strata",
                            "output")
                    .whereLayer("flow")
                    .mayOnlyBeAccessedByLayers("compose", "findings", "output")
                    .whereLayer("edit")
                    .mayOnlyBeAccessedByLayers("mends", "findings")
                    .whereLayer("text")
                    .mayOnlyBeAccessedByLayers(
                            "edit",
                            "flow",
                            "scene",
                            "raster",
                            "legibility",
                            "compose",
                            "mends",
                            "findings",
                            "picture",
                            "strata",
                            "output");

    @ArchTest
    static final ArchRule PUBLICATION_KNOWS_ONLY_COLOUR =
            noClasses()
                    .that()
                    .resideInAPackage("yewberry.core.publication")
                    .should()
                    .dependOnClassesThat()
                    .resideInAnyPackage(
                            "yewberry.core.text",
                            "yewberry.core.asset",
                            "yewberry.core.scene",
                            "yewberry.core.edit",
                            "yewberry.core.legibility");

    @ArchTest
    static final ArchRule COLOUR_KNOWS_NOTHING_ELSE =
            classes()
                    .that()
                    .resideInAPackage("yewberry.core.color")
                    .should()
                    .onlyDependOnClassesThat()
                    .resideInAnyPackage(
                            "yewberry.core",
                            "yewberry.core.color",
                            "java..",
                            "com.github.benmanes.caffeine.cache..");

    @ArchTest
    static final ArchRule CORE_IS_PLAIN_JAVA =
            classes()
                    .should()
                    .onlyDependOnClassesThat()
                    .resideInAnyPackage(
                            "yewberry.core..",
                            "java..",
                            "javax.imageio..",
                            "javax.xml.stream..",
                            "com.github.benmanes.caffeine.cache..",
                            "com.github.weisj.jsvg..",
                            "com.ibm.icu..",
                            "org.apache.fontbox.ttf..");

    @ArchTest
    static final ArchRule OF_AWT_ONLY_FONTS_GEOMETRY_AND_COLOUR =
            noClasses()
                    .should()
                    .dependOnClassesThat()
                    .resideInAnyPackage("java.awt.event..", "java.awt.print..", "javax.swing..");
}
