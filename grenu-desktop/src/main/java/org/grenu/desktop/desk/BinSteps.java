package org.grenu.desktop.desk;

import java.util.List;
import java.util.function.Consumer;
import org.grenu.library.BinLoss;
import org.grenu.library.Binned;
import org.grenu.library.ShotSummary;
import org.grenu.library.Target;

/** Puts shots into the bin, looks into it, takes out of it, and empties it. */
public final class BinSteps {

    private final StudyDesk desk;

    BinSteps(StudyDesk desk) {
        this.desk = desk;
    }

    /** Puts shots into the bin. */
    public void put(List<ShotSummary> binned) {
        String words = binned.size() == 1 ? "Shot " + binned.get(0).number() + " put into the bin"
                : binned.size() + " shots put into the bin";
        desk.step(
                () -> desk.library()
                        .write(tx -> tx.bin()
                                .put(Target.SHOT, binned.stream().map(ShotSummary::id).toList(), words)),
                step -> desk.noticeProperty().set(Notice.done(words + ". Ctrl Z takes it back.")));
    }

    /** Takes something out of the bin. */
    public void restore(Binned binned) {
        desk.step(() -> desk.library().write(tx -> tx.bin().restore(binned)), step -> {});
    }

    /** Hands over what is in it. */
    public void contents(Consumer<List<Binned>> then) {
        desk.background().run(() -> desk.library().read(tx -> tx.bin().list()), then, desk::failed);
    }

    /** Hands over what emptying it would lose. */
    public void loss(Consumer<BinLoss> then) {
        desk.background().run(() -> desk.library().read(tx -> tx.bin().loss()), then, desk::failed);
    }

    /** Takes what is in it out of the library for good. */
    public void empty(Runnable then) {
        desk.background().run(() -> {
            desk.library().store(tx -> tx.bin().empty());
            return desk.library().read(tx -> tx.journal().depth());
        }, depth -> {
            desk.shortened(depth);
            then.run();
        }, desk::failed);
    }
}
