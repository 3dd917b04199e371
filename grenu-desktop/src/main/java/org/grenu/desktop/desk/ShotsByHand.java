package org.grenu.desktop.desk;

import java.time.Clock;
import java.time.LocalDateTime;
import java.time.temporal.ChronoUnit;
import java.util.concurrent.Callable;
import java.util.function.Consumer;
import org.grenu.app.importing.LateLog;
import org.grenu.core.study.SheetField;
import org.grenu.core.study.ShotSheet;
import org.grenu.core.study.ShotState;
import org.grenu.library.ShotSummary;

/** Shots that are written down, and logs that come to them later; each a step that can be undone. */
public final class ShotsByHand {

    private final StudyDesk desk;
    private final Clock clock;

    /** Writes into that desk's library; a new shot is of now. */
    public ShotsByHand(StudyDesk desk, Clock clock) {
        this.desk = desk;
        this.clock = clock;
    }

    /** Begins a shot that was pulled now, hands it over, and opens it. */
    public void begin(Consumer<ShotSummary> begun) {
        ShotSheet now = ShotSheet.EMPTY.with(SheetField.PULLED_AT,
                LocalDateTime.now(clock).truncatedTo(ChronoUnit.MINUTES).toString());
        desk.step(() -> desk.library().write(now, ShotState.RECORDED, 0), step -> {
            begun.accept(step.shot());
            desk.select(step.shot().id());
        });
    }

    /** Gives the shot its log, read by that work; what is wrong with it is told. */
    public void giveLog(ShotSummary shot, Callable<LateLog> reading) {
        desk.background()
                .run(reading, late -> desk.step(
                        () -> desk.library()
                                .giveLog(shot, late.fileName(), late.bytes(), late.log(), late.beside(shot)),
                        step -> desk.noticeProperty()
                                .set(Notice.done("Shot " + shot.number() + " has its log. Ctrl Z takes it back."))),
                        desk::failed);
    }
}
