package org.grenu.desktop.desk;

import java.time.Clock;
import java.time.LocalDateTime;
import java.time.temporal.ChronoUnit;
import java.util.concurrent.Callable;
import java.util.function.Consumer;
import org.grenu.app.importing.LateLog;
import org.grenu.core.record.RecordField;
import org.grenu.core.record.ShotRecord;
import org.grenu.core.record.ShotState;
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
        ShotRecord now = ShotRecord.EMPTY.with(RecordField.PULLED_AT,
                LocalDateTime.now(clock).truncatedTo(ChronoUnit.MINUTES).toString());
        desk.step(() -> desk.library().write(tx -> tx.shots().write(now, ShotState.RECORDED, 0)), step -> {
            begun.accept(step.shot());
            desk.select(step.shot().id());
        });
    }

    /** Gives the shot its log, read by that work; what is wrong with it is told. */
    public void giveLog(ShotSummary shot, Callable<LateLog> reading) {
        desk.background()
                .run(reading, late -> desk.step(
                        () -> desk.library()
                                .write(tx -> tx.shots()
                                        .giveLog(shot, late.fileName(), late.bytes(), late.log(), late.beside(shot))),
                        step -> desk.noticeProperty()
                                .set(Notice.done("Shot " + shot.number() + " has its log. Ctrl Z takes it back."))),
                        desk::failed);
    }
}
