package org.grenu.app.analysis;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import org.grenu.app.OpenLibrary;
import org.grenu.core.demo.DemoStudy;
import org.grenu.core.record.RecordEdit;
import org.grenu.core.record.RecordField;
import org.grenu.core.record.ShotMeasures;
import org.grenu.library.ShotSummary;
import org.grenu.library.Stored;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A shot is measured once; what is given again is what measuring it anew would give. */
class ShotAnalysesTest {

    @TempDir
    private Path folder;
    private OpenLibrary open;
    private ShotAnalysis first;

    @BeforeEach
    void takeOneIn() {
        open = OpenLibrary.open(folder.resolve("library.sqlite"));
        DemoStudy.shots()
                .stream()
                .limit(1)
                .forEach(demo -> open.library().write(tx -> tx.shots().add(demo.name(), new byte[] {1}, demo.shot())));
        first = open.analyses().of(summary());
    }

    @AfterEach
    void close() {
        open.close();
    }

    private ShotSummary summary() {
        return Stored.shots(open.library()).get(0);
    }

    private ShotAnalysis after(RecordField field, String entry) {
        ShotSummary now = summary();
        open.library().write(tx -> tx.journal().make(now.id(), RecordEdit.of(now.written(), field, entry)));
        ShotAnalysis analysis = open.analyses().of(summary());
        assertThat(analysis.measures()).isEqualTo(ShotMeasures.of(analysis.shot()));
        return analysis;
    }

    @Test
    void whoAsksAgainIsGivenTheSame() {
        assertThat(open.analyses().of(summary())).isSameAs(first);
        assertThat(first.measures()).isEqualTo(ShotMeasures.of(first.shot()));
    }

    /** A mass changes the yield, not the curves; a pump-on that is stated changes the curves. */
    @Test
    void onlyWhatARecordSaysOfTheLogMeasuresItAnew() {
        ShotAnalysis dosed = after(RecordField.DOSE, "17.5");
        assertThat(dosed.measures().curve()).isSameAs(first.measures().curve());
        assertThat(dosed.measures().masses()).isNotEqualTo(first.measures().masses());
        ShotAnalysis moved = after(RecordField.PUMP_ON, "1.5");
        assertThat(moved.measures().curve()).isNotSameAs(first.measures().curve());
        assertThat(moved.log()).isSameAs(first.log());
        assertThat(after(RecordField.PUMP_ON, "").measures().curve()).as("as it was before")
                .isSameAs(first.measures().curve());
    }

    /** What the library keeps of a log comes from the same measuring. */
    @Test
    void theLibraryIsLentItsMeasures() {
        MeasuredLogs logs = new MeasuredLogs();
        logs.digest(first.log(), first.summary().record().curveSettings());
        assertThat(logs.measures(first.log(), first.summary().record().curveSettings()))
                .isSameAs(logs.measures(Stored.log(open.library(), first.summary().id()),
                        first.summary().record().curveSettings()));
    }

    @Test
    void aLibraryThatBecameAnotherIsReadAnew() {
        open.analyses().forget();
        assertThat(open.analyses().of(summary())).isNotSameAs(first).isEqualTo(first);
    }

    /** What follows by arithmetic is worked out once for a record and anew for a corrected one. */
    @Test
    void whatFollowsFromARecordIsWorkedOutOnce() {
        DerivedValues derived = new DerivedValues();
        ShotSummary shot = summary();
        DerivedValues.Derived one = derived.of(shot);
        assertThat(derived.of(shot)).isSameAs(one);
        assertThat(one.yield().orElseThrow().value())
                .isEqualTo(shot.masses().brew().orElseThrow().asDosed().percent().value());
        assertThat(one.ratio().orElseThrow().value()).isEqualTo(shot.masses().brew().orElseThrow().ratio().value());
        ShotSummary undosed = new ShotSummary(shot.id(), shot.number(), shot.written().with(RecordField.DOSE, ""),
                shot.digest());
        assertThat(derived.of(undosed).yield()).isEmpty();
    }
}
