package org.logophon.app;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.Architectures.layeredArchitecture;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;
import com.tngtech.archunit.library.Architectures.LayeredArchitecture;
import java.util.List;

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
    static final ArchRule NO_STEP_KNOWS_A_STEP =
            slices().matching("org.logophon.app.steps.(*)..").should().notDependOnEachOther();

    /** The demo, which walks through all of it, stands beside them. */
    @ArchTest
    static final ArchRule STEPS_STAND_ON_SERVICES_AND_THOSE_ON_THE_PLATFORM = layeredArchitecture()
            .consideringOnlyDependenciesInLayers()
            .layer("platform")
            .definedBy("org.logophon.app.platform..")
            .layer("services")
            .definedBy("org.logophon.app.services..")
            .layer("steps")
            .definedBy("org.logophon.app.steps..")
            .whereLayer("platform")
            .mayOnlyBeAccessedByLayers("services", "steps")
            .whereLayer("services")
            .mayOnlyBeAccessedByLayers("steps")
            .whereLayer("steps")
            .mayNotBeAccessedByAnyLayer();

    @ArchTest
    static final ArchRule REPOSITORIES_KNOW_NOTHING_OF_THE_WEB = noClasses()
            .that()
            .haveSimpleNameEndingWith("Repository")
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage("org.logophon.app.platform.web..", "org.springframework.web..", "jakarta.servlet..");

    @ArchTest
    static final ArchRule NO_CYCLES_IN_THE_CORE =
            slices().matching("org.logophon.core.(**)").should().beFreeOfCycles();

    /** Each knows those before it. */
    private static final List<String> GROUPS =
            List.of("input", "signal", "text", "direction", "voice", "review", "time", "delivery");

    @ArchTest
    static final ArchRule GROUPS_OF_THE_CORE_KNOW_THOSE_BEFORE_THEM = groups();

    private static ArchRule groups() {
        LayeredArchitecture order = layeredArchitecture().consideringOnlyDependenciesInLayers();
        for (String group : GROUPS) {
            order = order.layer(group).definedBy("org.logophon.core." + group + "..");
        }
        for (int i = 0; i < GROUPS.size(); i++) {
            List<String> later = GROUPS.subList(i + 1, GROUPS.size());
            order = later.isEmpty()
                    ? order.whereLayer(GROUPS.get(i)).mayNotBeAccessedByAnyLayer()
                    : order.whereLayer(GROUPS.get(i)).mayOnlyBeAccessedByLayers(later.toArray(String[]::new));
        }
        return order;
    }

    @ArchTest
    static final ArchRule NO_CYCLES_BETWEEN_MODULES =
            slices().matching("org.logophon.(*)..").should().beFreeOfCycles();

    @ArchTest
    static final ArchRule NO_CYCLES_IN_THE_APPLICATION =
            slices().matching("org.logophon.app.(**)").should().beFreeOfCycles();

    @ArchTest
    static final ArchRule NO_CYCLES_IN_SPEECH =
            slices().matching("org.logophon.speech.(**)").should().beFreeOfCycles();

    @ArchTest
    static final ArchRule DOCUMENTS_KNOW_NOTHING_OF_THEIR_WORKER = noClasses()
            .that()
            .resideInAPackage("org.logophon.documents")
            .should()
            .dependOnClassesThat()
            .resideInAPackage("org.logophon.documents.worker");

    @ArchTest
    static final ArchRule COMMANDS_KNOW_NOTHING_OF_WHAT_LISTS_THEM = noClasses()
            .that()
            .resideInAPackage("org.logophon.cli.*..")
            .should()
            .dependOnClassesThat()
            .resideInAPackage("org.logophon.cli");
}
