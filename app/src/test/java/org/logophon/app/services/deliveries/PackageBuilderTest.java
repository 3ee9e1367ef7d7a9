package org.logophon.app.services.deliveries;

import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.anyLong;
import static org.mockito.Mockito.doNothing;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.verifyNoInteractions;
import static org.mockito.Mockito.when;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.SQLException;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.function.IntPredicate;
import org.junit.jupiter.api.Test;
import org.logophon.app.platform.disk.DiskRoom;
import org.logophon.app.platform.failure.NoRoom;
import org.logophon.app.platform.failure.NotFound;
import org.logophon.app.services.project.Projects;
import org.logophon.core.time.coding.CodingFailed;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.dao.DataAccessResourceFailureException;
import org.springframework.transaction.support.TransactionTemplate;

/** What a delivery job does when the world fails it. */
class PackageBuilderTest {

    private final DeliveryRepository deliveries = mock(DeliveryRepository.class);
    private final Projects projects = mock(Projects.class);
    private final PackageWriter writer = mock(PackageWriter.class);
    private final DiskRoom room = mock(DiskRoom.class);
    private final DeliveredFiles files = mock(DeliveredFiles.class);
    private final PackageBuilder builder = new PackageBuilder(
            deliveries,
            projects,
            writer,
            room,
            files,
            mock(ReadyDeliveries.class),
            mock(TransactionTemplate.class),
            mock(ApplicationEventPublisher.class),
            Clock.systemUTC());
    private final UUID id = UUID.randomUUID();

    private void delivery(String state) {
        when(deliveries.find(id))
                .thenReturn(Optional.of(new Delivery(
                        id,
                        UUID.randomUUID(),
                        1,
                        "a.zip",
                        "{number}",
                        -19.0,
                        Choice.USUAL,
                        null,
                        state,
                        0,
                        2,
                        null,
                        0,
                        Instant.EPOCH)));
    }

    @Test
    void aFullDiskEndsInASentence() throws IOException {
        delivery("building");
        when(writer.write(any(), any())).thenAnswer(asked -> {
            try (OutputStream full = Files.newOutputStream(Path.of("/dev/full"))) {
                full.write(1);
            }
            return List.of();
        });
        builder.run(id);
        verify(deliveries).end(id, "failed", NoRoom.SENTENCE, 0);
    }

    @Test
    void aDatabaseWithoutRoomEndsItAtOnceInsteadOfTryingForEver() throws IOException {
        delivery("building");
        when(writer.write(any(), any()))
                .thenThrow(new DataAccessResourceFailureException(
                        "delivered_content", new SQLException("could not extend file", "53100")));
        builder.run(id);
        verify(deliveries).end(id, "failed", NoRoom.SENTENCE, 0);
    }

    @Test
    void aDiskThatFillsUpMeanwhileStopsIt() throws IOException {
        delivery("building");
        when(writer.write(any(), any())).thenAnswer(asked -> {
            IntPredicate goOn = asked.getArgument(1);
            goOn.test(1);
            goOn.test(2);
            return List.of();
        });
        doNothing().doThrow(new NoRoom()).when(room).need(0);
        builder.run(id);
        verify(deliveries).progress(id, 1);
        verify(deliveries, never()).progress(id, 2);
        verify(deliveries).end(id, "failed", NoRoom.SENTENCE, 0);
    }

    @Test
    void aTakeThatIsGoneIsNamed() throws IOException {
        delivery("building");
        when(writer.write(any(), any())).thenThrow(new NotFound("The kept take of cue 030 is gone."));
        builder.run(id);
        verify(deliveries).end(id, "failed", "The kept take of cue 030 is gone.", 0);
    }

    @Test
    void aMissingCoderIsToldInItsOwnWords() throws IOException {
        delivery("building");
        when(writer.write(any(), any())).thenThrow(new CodingFailed("FFmpeg isn't installed. Choose WAV."));
        builder.run(id);
        verify(deliveries).end(id, "failed", "FFmpeg isn't installed. Choose WAV.", 0);
    }

    @Test
    void aCancelledBuildStoresNothing() throws IOException {
        delivery("building");
        when(writer.write(any(), any())).thenReturn(null);
        builder.run(id);
        verify(deliveries, never()).end(any(), any(), any(), anyLong());
        verify(files, never()).save(any(), any());
    }

    @Test
    void aJobThatComesAgainAfterItsEndDoesNothing() {
        delivery("ready");
        builder.run(id);
        verifyNoInteractions(writer);
    }
}
