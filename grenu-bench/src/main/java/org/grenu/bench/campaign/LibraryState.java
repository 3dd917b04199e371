package org.grenu.bench.campaign;

import java.util.List;
import org.grenu.core.record.RecordField;
import org.grenu.library.Library;
import org.grenu.library.ShotSummary;

/**
 * What a library holds, in so far as an operation of the campaign changes it.
 *
 * @param shots       shown
 * @param merged      of those, taken in from the other library
 * @param attachments of the first shot
 * @param dose        of the first shot, g
 */
record LibraryState(int shots, int merged, int attachments, double dose) {

    /** Shots from there on are the other library's. */
    static final int OTHERS = 1_000_000;

    /** {@return the state of that library; every shot is read through on the way} */
    static LibraryState of(Library library) {
        List<ShotSummary> shots = library.read(tx -> tx.shots().all());
        int merged = 0;
        for (ShotSummary shot : shots) {
            if (library.read(tx -> tx.shots().log(shot.id())).size() == 0
                    || library.read(tx -> tx.files().of(shot.id())).orElseThrow().bytes().length
                            != LibraryWorker.RAW_BYTES) {
                throw new IllegalStateException("shot " + shot.number() + " is half there");
            }
            merged += shot.written().text(RecordField.NOTE).orElse("").startsWith("shot " + OTHERS / 1000) ? 1 : 0;
        }
        return shots.isEmpty() ? new LibraryState(0, 0, 0, 0)
                : new LibraryState(shots.size(), merged,
                        library.read(tx -> tx.attachments().of(shots.get(0).id())).size(),
                        shots.get(0).written().number(RecordField.DOSE).orElse(0));
    }

    LibraryState plusShot() {
        return new LibraryState(shots + 1, merged, attachments, shots == 0 ? CampaignShots.DOSE : dose);
    }

    LibraryState withMerged(int now) {
        return new LibraryState(shots - merged + now, now, attachments, dose);
    }

    LibraryState plusAttachment() {
        return new LibraryState(shots, merged, attachments + 1, dose);
    }

    LibraryState withDose(double grams) {
        return new LibraryState(shots, merged, attachments, grams);
    }

    static LibraryState parse(String text) {
        String[] parts = text.split("/");
        return new LibraryState(Integer.parseInt(parts[0]), Integer.parseInt(parts[1]), Integer.parseInt(parts[2]),
                Double.parseDouble(parts[3]));
    }

    String text() {
        return shots + "/" + merged + "/" + attachments + "/" + dose;
    }
}
