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

    private static final String[] CORE = {"org.logophon.script..", "org.logophon.estimate..", "org.logophon.direction..", "org.logophon.voice..",
        "org.logophon.render..", "org.logophon.sound..", "org.logophon.loudness..", "org.logophon.pitch..", "org.logophon.finish..",
        "org.logophon.wav..", "org.logophon.delivery..", "org.logophon.digest..", "org.logophon.prosody..", "org.logophon.effect..", "org.logophon.figures..",
        "org.logophon.described..", "org.logophon.dictionary..", "org.logophon.form..", "org.logophon.reading..", "org.logophon.proof..", "org.logophon.table..", "org.logophon.style..", "org.logophon.mark..", "org.logophon.ssml..", "org.logophon.suggest.."};

    @ArchTest
    static final ArchRule CORE_KNOWS_NOTHING_AROUND_IT = noClasses().that().resideInAnyPackage(CORE).should().dependOnClassesThat()
            .resideInAnyPackage("org.logophon.speech..", "org.logophon.app..", "org.logophon.cli..", "org.springframework..", "java.sql..",
                    "javax.sql..", "java.net..", "com.sun.jna..", "jakarta..");

    @ArchTest
    static final ArchRule CORE_STARTS_NO_PROCESS = noClasses().that().resideInAnyPackage(CORE).should()
            .dependOnClassesThat().haveFullyQualifiedName("java.lang.ProcessBuilder");

    @ArchTest
    static final ArchRule SPEECH_KNOWS_ONLY_THE_CORE = noClasses().that().resideInAPackage("org.logophon.speech..").should()
            .dependOnClassesThat().resideInAnyPackage("org.logophon.app..", "org.logophon.cli..", "org.springframework..", "java.sql..");

    @ArchTest
    static final ArchRule NATIVE_CODE_STAYS_IN_WORKERS = noClasses().that().resideInAPackage("org.logophon..").and()
            .resideOutsideOfPackage("org.logophon.speech.worker..").and().doNotHaveSimpleName("WorkerCommand").should()
            .dependOnClassesThat().resideInAPackage("com.sun.jna..");

    @ArchTest
    static final ArchRule STEPS_MEET_ONLY_THROUGH_THE_STORE = noClasses().that().resideInAPackage("org.logophon.app.write..").should()
            .dependOnClassesThat().resideInAnyPackage("org.logophon.app.direct..", "org.logophon.app.deliver..", "org.logophon.app.shelf..");

    @ArchTest
    static final ArchRule DIRECT_STANDS_ALONE = noClasses().that().resideInAPackage("org.logophon.app.direct..").should()
            .dependOnClassesThat().resideInAnyPackage("org.logophon.app.write..", "org.logophon.app.deliver..", "org.logophon.app.shelf..");

    @ArchTest
    static final ArchRule NO_CYCLES_IN_THE_CORE = slices().matching("org.logophon.(*)..").should().beFreeOfCycles();

    @ArchTest
    static final ArchRule NO_CYCLES_IN_THE_APPLICATION = slices().matching("org.logophon.app.(*)..").should().beFreeOfCycles();
}
