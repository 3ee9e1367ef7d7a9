package org.logophon.app;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;

/** Dependencies point one way only. */
@AnalyzeClasses(packages = "org.logophon", importOptions = ImportOption.DoNotIncludeTests.class)
class ArchitectureTest {

    private static final String CORE = "org.logophon.core..";

    @ArchTest
    static final ArchRule CORE_KNOWS_NOTHING_AROUND_IT = noClasses()
            .that()
            .resideInAPackage(CORE)
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage(
                    "org.logophon.speech..",
                    "org.logophon.app..",
                    "org.logophon.cli..",
                    "org.springframework..",
                    "java.sql..",
                    "javax.sql..",
                    "java.net..",
                    "com.sun.jna..",
                    "jakarta..");

    @ArchTest
    static final ArchRule CORE_STARTS_NO_PROCESS = noClasses()
            .that()
            .resideInAPackage(CORE)
            .should()
            .dependOnClassesThat()
            .haveFullyQualifiedName("java.lang.ProcessBuilder");

    @ArchTest
    static final ArchRule SPEECH_KNOWS_ONLY_THE_CORE = noClasses()
            .that()
            .resideInAPackage("org.logophon.speech..")
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage("org.logophon.app..", "org.logophon.cli..", "org.springframework..", "java.sql..");

    @ArchTest
    static final ArchRule NATIVE_CODE_STAYS_IN_WORKERS = noClasses()
            .that()
            .resideInAPackage("org.logophon..")
            .and()
            .resideOutsideOfPackage("org.logophon.speech.worker..")
            .and()
            .doNotHaveSimpleName("WorkerCommand")
            .should()
            .dependOnClassesThat()
            .resideInAPackage("com.sun.jna..");

    @ArchTest
    static final ArchRule STEPS_MEET_ONLY_THROUGH_THE_STORE = noClasses()
            .that()
            .resideInAPackage("org.logophon.app.write..")
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage("org.logophon.app.direct..", "org.logophon.app.deliver..", "org.logophon.app.shelf..");

    @ArchTest
    static final ArchRule DIRECT_STANDS_ALONE = noClasses()
            .that()
            .resideInAPackage("org.logophon.app.direct..")
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage("org.logophon.app.write..", "org.logophon.app.deliver..", "org.logophon.app.shelf..");

    @ArchTest
    static final ArchRule NO_CYCLES_IN_THE_CORE =
            slices().matching("org.logophon.core.(*)..").should().beFreeOfCycles();

    @ArchTest
    static final ArchRule NO_CYCLES_BETWEEN_MODULES =
            slices().matching("org.logophon.(*)..").should().beFreeOfCycles();

    @ArchTest
    static final ArchRule NO_CYCLES_IN_THE_APPLICATION =
            slices().matching("org.logophon.app.(*)..").should().beFreeOfCycles();
}
