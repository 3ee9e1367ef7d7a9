package org.logophon.app.steps.place;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.eq;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.logophon.app.platform.failure.NotFound;
import org.logophon.app.platform.failure.Refused;
import org.logophon.app.services.project.Cue;
import org.logophon.app.services.project.CuePlace;
import org.logophon.app.services.project.CuePlace.Kind;
import org.logophon.app.services.project.CueRepository;
import org.logophon.app.services.project.CueRepository.StoredPlace;
import org.logophon.app.services.project.CueState;
import org.logophon.app.services.project.CueStatus;
import org.logophon.app.services.project.CueView;
import org.logophon.app.services.project.Picture;
import org.logophon.app.services.project.PictureSlotRepository;
import org.logophon.app.services.project.PictureSlotRepository.EmptySlot;
import org.logophon.app.services.project.Project;
import org.logophon.app.services.project.ProjectRepository;
import org.logophon.app.services.project.ProjectView;
import org.logophon.app.services.project.Projects;
import org.logophon.app.steps.place.PlaceEdits.Edit;
import org.logophon.app.steps.place.PlaceEdits.Stood;
import org.logophon.core.direction.Direction;
import org.logophon.core.direction.ResolvedDirection;
import org.logophon.core.direction.mark.Marks;
import org.logophon.core.text.script.Slot;
import org.logophon.core.time.programme.Placement.Anchor;
import org.logophon.core.time.programme.SampleCount;
import org.logophon.core.time.timecode.FrameRate;
import org.mockito.ArgumentCaptor;

class PlaceServiceTest {

    private static final UUID PROJECT = UUID.randomUUID();
    private static final FrameRate PAL = FrameRate.named("25");
    /** Samples of a frame at 25 frames a second. */
    private static final int FRAME = 48_000 / 25;

    private final Projects projects = mock();
    private final ProjectRepository table = mock();
    private final CueRepository cues = mock();
    private final PlaceEdits edits = mock();
    private final PictureSlotRepository empty = mock();
    private final PlaceService service = new PlaceService(projects, table, cues, edits, empty);
    private final List<CueView> shown = new ArrayList<>();

    @BeforeEach
    void atTwentyFiveFrames() {
        picture(new Picture(PAL, 0, 0));
    }

    private void picture(Picture picture) {
        Project project = new Project(
                PROJECT,
                null,
                null,
                "Lantern",
                "en",
                null,
                "",
                0,
                null,
                Direction.NONE,
                0,
                null,
                "",
                picture,
                null,
                0,
                0,
                0);
        when(projects.view(PROJECT)).thenReturn(new ProjectView(project, List.of(), shown, Map.of()));
    }

    /** A cue of one second, and 0.4 s after it. */
    private CueView cue(CuePlace place, Slot slot) {
        int at = shown.size();
        Cue cue = new Cue(
                UUID.randomUUID(),
                at,
                "0" + (at + 1) + "0",
                "",
                "Keeper",
                "Fog.",
                1,
                1,
                1,
                slot,
                Direction.NONE,
                0,
                null,
                place);
        CueView view = new CueView(
                cue,
                null,
                null,
                new ResolvedDirection(1, 0, 0, 400),
                Marks.NONE,
                null,
                null,
                CueStatus.NONE,
                CueState.NEW,
                null,
                SampleCount.ofMillis(1_000),
                false,
                null);
        shown.add(view);
        return view;
    }

    private CueView follows() {
        return cue(CuePlace.UNSAID, null);
    }

    private static CuePlace fixed(long samples) {
        return new CuePlace(Kind.FIXED, Anchor.START, 0, samples);
    }

    private List<StoredPlace> placed() {
        ArgumentCaptor<List<StoredPlace>> places = ArgumentCaptor.captor();
        verify(cues).setPlaces(places.capture());
        return places.getValue();
    }

    private static TypedPlace typed(Kind kind, String in, String out) {
        return new TypedPlace(kind, in, out, null, "");
    }

    @Test
    void cuesAreFixedWhereTheyStandNow() {
        UUID first = follows().id();
        UUID second = follows().id();
        assertThat(service.placeMany(PROJECT, List.of(second, first), Kind.FIXED))
                .isEqualTo(2);
        assertThat(placed()).extracting(StoredPlace::cue).containsExactly(first, second);
        assertThat(placed()).extracting(stored -> stored.place().fixedSamples()).containsExactly(0L, 35L * FRAME);
    }

    @Test
    void onlyCuesWithASlotStandInOneAndWithoutAnyItIsRefused() {
        UUID without = follows().id();
        assertThatThrownBy(() -> service.placeMany(PROJECT, List.of(without), Kind.SLOT))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("None of these cues has a slot");
        verify(cues, never()).setPlaces(any());
        UUID with = cue(new CuePlace(Kind.FOLLOW, Anchor.END, 0, null), new Slot(2_000, 4_000))
                .id();
        assertThat(service.placeMany(PROJECT, List.of(without, with), Kind.SLOT))
                .isEqualTo(1);
        assertThat(placed()).singleElement().satisfies(stored -> {
            assertThat(stored.cue()).isEqualTo(with);
            assertThat(stored.place().kind()).isEqualTo(Kind.SLOT);
            assertThat(stored.place().anchor()).isEqualTo(Anchor.END);
        });
    }

    @Test
    void aFollowingCueIsMovedByFramesToAPlaceOfItsOwn() {
        follows();
        UUID second = follows().id();
        service.nudge(PROJECT, List.of(second), -3);
        assertThat(placed()).extracting(StoredPlace::place).containsExactly(fixed(32L * FRAME));
    }

    @Test
    void noCueIsMovedBeforeTheFirstFrame() {
        UUID cue = cue(fixed(2L * FRAME), null).id();
        service.nudge(PROJECT, List.of(cue), -10);
        assertThat(placed()).extracting(StoredPlace::place).containsExactly(fixed(0));
    }

    @Test
    void aCueInItsSlotIsMovedByItsOffsetAndKeepsItsSlot() {
        Slot slot = new Slot(2_000, 4_000);
        UUID cue = cue(CuePlace.UNSAID, slot).id();
        service.nudge(PROJECT, List.of(cue), 5);
        assertThat(placed()).singleElement().satisfies(stored -> {
            assertThat(stored.slot()).isEqualTo(slot);
            assertThat(stored.place()).isEqualTo(new CuePlace(Kind.SLOT, Anchor.START, 5L * FRAME, null));
        });
    }

    /**
     * 48 000 · 1001 / 30 000 = 1 601.6 samples a frame: the first sample of a frame is the next whole one. SMPTE ST
     * 12-1.
     */
    @Test
    void atNtscRatesAMovedCueStartsOnTheFirstSampleOfAFrame() {
        picture(new Picture(FrameRate.named("29.97"), 0, 0));
        UUID cue = cue(fixed(0), null).id();
        service.nudge(PROJECT, List.of(cue), 3);
        assertThat(placed()).extracting(StoredPlace::place).containsExactly(fixed(4_805));
    }

    @Test
    void aCueThatIsNamedTwiceIsMovedOnce() {
        UUID cue = cue(fixed(0), null).id();
        service.nudge(PROJECT, List.of(cue, cue), 1);
        assertThat(placed()).hasSize(1);
    }

    @Test
    void aTypedSlotCountsFromTheFirstTimecode() {
        picture(new Picture(PAL, PAL.framesAnHour(), 0));
        UUID cue = follows().id();
        service.place(PROJECT, cue, typed(Kind.SLOT, "01:00:02:00", "01:00:03:05"));
        assertThat(placed())
                .singleElement()
                .satisfies(stored -> assertThat(stored.slot()).isEqualTo(new Slot(2_000, 3_200)));
    }

    @Test
    void aSlotThatCannotBeSaysWhy() {
        picture(new Picture(PAL, PAL.framesAnHour(), 0));
        UUID cue = follows().id();
        assertThatThrownBy(() -> service.place(PROJECT, cue, typed(Kind.SLOT, "01:00:02:00", "")))
                .hasMessageContaining("no slot yet");
        assertThatThrownBy(() -> service.place(PROJECT, cue, typed(Kind.SLOT, "01:00:03:00", "01:00:02:00")))
                .hasMessageContaining("A slot ends after it starts");
        assertThatThrownBy(() -> service.place(PROJECT, cue, typed(Kind.FIXED, "00:59:00:00", "")))
                .hasMessageContaining("before the programme's first frame, 01:00:00:00");
        verify(cues, never()).setPlaces(any());
    }

    @Test
    void aCueThatIsGoneIsNotFound() {
        follows();
        UUID gone = UUID.randomUUID();
        assertThatThrownBy(() -> service.nudge(PROJECT, List.of(gone), 1)).isInstanceOf(NotFound.class);
        assertThatThrownBy(() -> service.place(PROJECT, gone, typed(Kind.FOLLOW, "", "")))
                .isInstanceOf(NotFound.class);
    }

    @Test
    void takingTimesChangesOnlyCuesThatStandOtherwise() {
        Slot slot = new Slot(0, 1_000);
        CueView same = cue(CuePlace.UNSAID, slot);
        CueView other = cue(CuePlace.UNSAID, new Slot(1_000, 2_000));
        when(empty.of(PROJECT)).thenReturn(List.of());
        List<EmptySlot> left = List.of(new EmptySlot(UUID.randomUUID(), new Slot(5_000, 6_000), "", ""));
        int changed = service.take(
                PROJECT,
                List.of(
                        new StoredPlace(same.id(), null, slot, null),
                        new StoredPlace(other.id(), null, new Slot(1_500, 2_500), null)),
                left);
        assertThat(changed).isEqualTo(1);
        assertThat(placed()).extracting(StoredPlace::cue).containsExactly(other.id());
        verify(empty).replace(PROJECT, left);
    }

    @Test
    void undoBringsBackHowItStoodAndSaysWhenThereIsNothing() {
        List<StoredPlace> before = List.of(new StoredPlace(UUID.randomUUID(), CuePlace.UNSAID, null, null));
        Stood stood = new Stood(before, null);
        when(edits.next(PROJECT, true))
                .thenReturn(Optional.of(new Edit(7, "cue 010", stood, new Stood(List.of(), null))));
        assertThat(service.turn(PROJECT, true)).isEqualTo("cue 010");
        verify(cues).setPlaces(before);
        verify(edits).setUndone(PROJECT, 7, true);
        verify(empty, never()).replace(eq(PROJECT), any());
        when(edits.next(PROJECT, false)).thenReturn(Optional.empty());
        assertThatThrownBy(() -> service.turn(PROJECT, false)).hasMessage("There is nothing to redo.");
    }

    @Test
    void theLeastGapIsFromNoneToTenSeconds() {
        for (int millis : new int[] {-1, 10_001}) {
            assertThatThrownBy(() -> service.setPicture(PROJECT, "25", "", millis))
                    .hasMessageStartingWith("The smallest gap goes from 0 to 10 s, and ");
        }
        service.setPicture(PROJECT, "25", "01:00:00:00", 10_000);
        verify(table).setPicture(PROJECT, new Picture(PAL, PAL.framesAnHour(), 10_000));
    }
}
