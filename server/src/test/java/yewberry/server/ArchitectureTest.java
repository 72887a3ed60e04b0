package yewberry.server;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;

/** server depends on pdf, pdf on core; each keeps its libraries to itself. */
@AnalyzeClasses(packages = "yewberry", importOptions = ImportOption.DoNotIncludeTests.class)
class ArchitectureTest {
    @ArchTest
    static final ArchRule CORE_KNOWS_NEITHER_PDF_NOR_SERVER =
            noClasses()
                    .that()
                    .resideInAPackage("yewberry.core..")
                    .should()
                    .dependOnClassesThat()
                    .resideInAnyPackage("yewberry.pdf..", "yewberry.server..");

    @ArchTest
    static final ArchRule PDF_DOES_NOT_KNOW_THE_SERVER =
            noClasses()
                    .that()
                    .resideInAPackage("yewberry.pdf..")
                    .should()
                    .dependOnClassesThat()
                    .resideInAnyPackage("yewberry.server..", "org.springframework..");

    @ArchTest
    static final ArchRule ONLY_PDF_KNOWS_PDFBOX =
            noClasses()
                    .that()
                    .resideOutsideOfPackage("yewberry.pdf..")
                    .should()
                    .dependOnClassesThat()
                    .resideInAPackage("org.apache.pdfbox..");

    @ArchTest
    static final ArchRule ONLY_PDF_AND_TEXT_READ_FONT_PROGRAMS =
            noClasses()
                    .that()
                    .resideOutsideOfPackages("yewberry.pdf..", "yewberry.core.text..")
                    .should()
                    .dependOnClassesThat()
                    .resideInAPackage("org.apache.fontbox..");

    @ArchTest
    static final ArchRule ONLY_STORE_AND_JOBS_KNOW_THE_DATABASE =
            noClasses()
                    .that()
                    .resideOutsideOfPackages("yewberry.server.store..", "yewberry.server.jobs..")
                    .and()
                    .doNotHaveSimpleName("Problems")
                    .should()
                    .dependOnClassesThat()
                    .resideInAnyPackage("org.jooq..", "org.h2..", "java.sql..");

    @ArchTest
    static final ArchRule HTTP_STAYS_AT_THE_EDGE =
            noClasses()
                    .that()
                    .resideInAnyPackage(
                            "yewberry.server.store..",
                            "yewberry.server.publications..",
                            "yewberry.server.json..")
                    .should()
                    .dependOnClassesThat()
                    .resideInAnyPackage("org.springframework.web..", "jakarta.servlet..");

    @ArchTest
    static final ArchRule WHAT_IS_SHOWN_STANDS_IN_ONE_PACKAGE =
            classes()
                    .that()
                    .areRecords()
                    .and()
                    .resideInAnyPackage("yewberry.server.api..", "yewberry.server.jobs..")
                    .should()
                    .haveSimpleNameEndingWith("Request");

    @ArchTest
    static final ArchRule WHAT_IS_SHOWN_KNOWS_NEITHER_HTTP_NOR_STORAGE =
            noClasses()
                    .that()
                    .resideInAPackage("yewberry.server.view..")
                    .should()
                    .dependOnClassesThat()
                    .resideInAnyPackage(
                            "yewberry.server.api..",
                            "yewberry.server.jobs..",
                            "yewberry.server.store..",
                            "org.springframework..",
                            "jakarta.servlet..");
}
