package org.logophon.app.services.deliveries;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.anyString;
import static org.mockito.Mockito.doAnswer;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.logophon.app.platform.failure.Refused;
import org.logophon.app.services.deliveries.DeliveredFiles.Stored;
import org.logophon.app.services.project.Project;
import org.logophon.app.services.project.Projects;
import org.logophon.core.delivery.Manifest;
import org.logophon.core.input.digest.Sha256;

/** A delivery into a folder under the root that the settings name. */
class DeliveryFolderTest {

    @TempDir
    Path root;

    private final Projects projects = mock(Projects.class);
    private final ChoiceRepository choices = mock(ChoiceRepository.class);
    private final DeliveredFiles files = mock(DeliveredFiles.class);
    private final Delivery delivery = new Delivery(
            UUID.randomUUID(),
            UUID.randomUUID(),
            2,
            "a.zip",
            "{number}",
            -19.0,
            Choice.USUAL,
            1,
            "ready",
            1,
            1,
            null,
            4,
            Instant.EPOCH);

    @BeforeEach
    void aDelivery() throws Exception {
        Project project = mock(Project.class);
        when(project.name()).thenReturn("The Kiln");
        when(projects.require(any())).thenReturn(project);
        when(choices.folder(any(), anyString())).thenAnswer(asked -> asked.getArgument(1));
        when(files.of(delivery.id()))
                .thenReturn(List.of(new Stored(
                        new Manifest.Entry("One/010.wav", 4, Sha256.hex("clip"), "010", "new", "", "", "", "", 0),
                        "",
                        null)));
        doAnswer(asked -> {
                    ((OutputStream) asked.getArgument(1)).write("clip".getBytes(StandardCharsets.UTF_8));
                    return null;
                })
                .when(files)
                .copyTo(any(), any());
    }

    private DeliveryFolder folder(String path) {
        return new DeliveryFolder(path, projects, choices, files);
    }

    @Test
    void filesLieInAFolderOfTheProject() throws Exception {
        DeliveryFolder.Done done = folder(root.toString()).write(delivery);
        assertThat(done.folder())
                .isEqualTo(root.resolve(
                        "the-kiln-" + delivery.projectId().toString().substring(0, 6)));
        assertThat(Files.readString(done.folder().resolve("One/010.wav"))).isEqualTo("clip");
        assertThat(folder(root.toString()).write(delivery).written().same()).isEqualTo(1);
        assertThat(folder(root.toString()).removeLeft(delivery.projectId())).isZero();
    }

    @Test
    void aFolderThatCannotBeWrittenToIsASentence() {
        assertThatThrownBy(() -> folder("").write(delivery))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("LOGOPHON_DELIVERY_FOLDER");
        assertThatThrownBy(() -> folder("/dev/null/deliveries").write(delivery))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("can't be written to");
    }

    @Test
    void aFullDiskLeavesWhatWasThere() throws Exception {
        Path clip = folder(root.toString()).write(delivery).folder().resolve("One/010.wav");
        Files.writeString(clip, "somebody's own cut");
        doAnswer(asked -> {
                    throw new java.io.IOException("No space left on device");
                })
                .when(files)
                .copyTo(any(), any());
        assertThatThrownBy(() -> folder(root.toString()).write(delivery))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("What was there before is whole");
        assertThat(Files.readString(clip)).isEqualTo("somebody's own cut");
    }
}
