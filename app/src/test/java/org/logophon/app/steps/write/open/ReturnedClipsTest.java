package org.logophon.app.steps.write.open;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.verifyNoInteractions;
import static org.mockito.Mockito.when;

import java.io.IOException;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.logophon.app.platform.failure.Refused;
import org.logophon.app.services.project.ProjectRepository;
import org.logophon.app.services.project.Projects;
import org.logophon.app.services.project.take.TakeRepository;
import org.logophon.app.services.script.DocumentImport;
import org.logophon.core.time.coding.Coder;
import org.logophon.core.time.coding.CodingFailed;
import org.springframework.mock.web.MockMultipartFile;

/** Clips that come back where their formats can't be read. */
class ReturnedClipsTest {

    private static final String MISSING = "FFmpeg isn't installed.";

    private final DocumentImport opening = mock(DocumentImport.class);
    private final Coder coder = mock(Coder.class);
    private final ReturnedClips clips = new ReturnedClips(
            mock(Projects.class), mock(ProjectRepository.class), mock(TakeRepository.class), opening, coder);

    @Test
    void aMissingCoderIsToldAndNothingIsMade() throws IOException {
        when(coder.note(any())).thenThrow(new CodingFailed(MISSING));
        MockMultipartFile sent = new MockMultipartFile("files", "010.mp3", null, new byte[] {1, 2, 3});
        assertThat(clips.look(sent).sentence()).isEqualTo(MISSING);
        assertThat(clips.look(sent).carries()).isFalse();
        assertThatThrownBy(() -> clips.again(UUID.randomUUID(), List.of(sent), false))
                .isInstanceOf(Refused.class)
                .hasMessageContaining(MISSING);
        verifyNoInteractions(opening);
    }
}
