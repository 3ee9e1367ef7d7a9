package org.logophon.app.platform.disk;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.put;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.logophon.app.platform.failure.NoRoom;
import org.springframework.boot.health.contributor.Status;
import org.springframework.http.HttpStatus;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.setup.MockMvcBuilders;
import org.springframework.util.unit.DataSize;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** A disk is full when less is free than is to be left alone: here that is more than any disk has, or nothing. */
class DiskRoomTest {

    @TempDir
    private Path folder;

    private DiskRoom leaving(DataSize least) {
        return new DiskRoom(folder.toString(), least);
    }

    /** Addresses as the pages have them. */
    @RestController
    static class Addresses {

        @GetMapping("/page")
        String page() {
            return "read";
        }

        @PutMapping("/script")
        String save() {
            return "saved";
        }

        @NeedsNoRoom
        @PostMapping("/delete")
        String delete() {
            return "deleted";
        }

        @ExceptionHandler(NoRoom.class)
        @ResponseStatus(HttpStatus.INSUFFICIENT_STORAGE)
        void full() {}
    }

    private static MockMvc over(DiskRoom room) {
        return MockMvcBuilders.standaloneSetup(new Addresses())
                .addInterceptors(new FullDiskGuard(room))
                .build();
    }

    @Test
    void onAFullDiskOnlyWhatMakesRoomIsDone() throws Exception {
        MockMvc full = over(leaving(DataSize.ofTerabytes(1_000_000)));
        full.perform(put("/script").content("words")).andExpect(status().is(507));
        full.perform(post("/delete")).andExpect(status().isOk());
        full.perform(get("/page")).andExpect(status().isOk());
        over(leaving(DataSize.ofBytes(0)))
                .perform(put("/script").content("words"))
                .andExpect(status().isOk());
    }

    @Test
    void healthAndTheWarningSayIt() {
        DiskRoom full = leaving(DataSize.ofTerabytes(1_000_000));
        assertThat(new DiskHealth(full).health().getStatus()).isEqualTo(Status.DOWN);
        assertThat(full.warning()).contains("The disk is full", "Nothing can be saved");
        DiskRoom roomy = leaving(DataSize.ofBytes(0));
        assertThat(new DiskHealth(roomy).health().getStatus()).isEqualTo(Status.UP);
        assertThat(roomy.warning() != null).isEqualTo(roomy.little());
    }

    @Test
    void whatIsToBeWrittenCounts() {
        DiskRoom room = leaving(DataSize.ofBytes(0));
        room.need(1);
        assertThatThrownBy(() -> room.need(2 * room.freeBytes()))
                .isInstanceOf(NoRoom.class)
                .hasMessageContaining("no room on the disk");
    }
}
