package org.grenu.desktop.ledger;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.grenu.app.analysis.ShotAnalysis;
import org.grenu.core.curve.CurveDigest;
import org.grenu.core.demo.DemoStudy;
import org.grenu.core.entry.FieldKind;
import org.grenu.core.extraction.Basis;
import org.grenu.core.extraction.Input;
import org.grenu.core.quantity.DisplayUnits;
import org.grenu.core.quantity.Reported;
import org.grenu.core.record.RecordField;
import org.grenu.core.record.Shot;
import org.grenu.core.record.ShotMeasures;
import org.grenu.core.record.ShotRecord;
import org.grenu.desktop.desk.OpenShot;
import org.grenu.library.ShotSummary;
import org.junit.jupiter.api.Test;

/** The ledger's words for what is known, and for what is not. */
class LedgerTextTest {

    private static final Shot SHOT = DemoStudy.shots().get(0).shot();

    private static OpenShot open(ShotRecord record) {
        ShotMeasures measures = ShotMeasures.of(SHOT.with(record));
        return new OpenShot(
                new ShotAnalysis(new ShotSummary(1, 1, record, CurveDigest.of(measures.curve())), SHOT.log(), measures),
                List.of());
    }

    private static LedgerText text(ShotRecord record, Basis basis) {
        return LedgerText.of(open(record), basis, DisplayUnits.CANONICAL);
    }

    @Test
    void everythingIsThereWhenEverythingIsKnown() {
        LedgerText text = text(SHOT.record(), Basis.AS_DOSED);
        assertThat(text.made().yield().map(Reported::text)).contains("21.13 ±0.16");
        assertThat(text.made().otherBasis()).isEqualTo("21.51 ±0.18 % dry · moisture 1.8 ±0.4 %");
        assertThat(text.made().wanting()).isEmpty();
        assertThat(text.made().budget()).extracting(LedgerText.Share::input)
                .containsExactly(Input.STRENGTH, Input.DOSE, Input.BEVERAGE);
        assertThat(text(SHOT.record(), Basis.DRY).made().budget()).extracting(LedgerText.Share::input)
                .contains(Input.MOISTURE);
        assertThat(text.readings()).isEqualTo("3 readings · mean 9.52 % · s 0.012");
        assertThat(text.times()).extracting(LedgerText.Line::name)
                .startsWith("pump on to pump off", "pump on to last drip", "first drip to pump off");
        assertThat(text.weighed().source()).isEqualTo("g, weighed");
        assertThat(text.weighed().curveMass()).startsWith("curve ends at 40.0");
    }

    @Test
    void whatIsUnknownIsNamedAndNotGuessed() {
        LedgerText nothing = text(ShotRecord.EMPTY, Basis.AS_DOSED);
        assertThat(nothing.made().yield()).isEmpty();
        assertThat(nothing.made().wanting()).isEqualTo("Unknown. Enter the dose and a strength reading below.");
        assertThat(nothing.cup().ratio()).isEmpty();
        assertThat(nothing.made().budget()).isEmpty();
        assertThat(nothing.weighed().source()).as("the curve gives it").isEqualTo("g, from the curve");
        assertThat(nothing.weighed().fromCurve()).isEqualTo("40.0");
        assertThat(nothing.readings()).isEqualTo("none yet");
        ShotRecord withoutMoisture = SHOT.record().with(RecordField.MOISTURE, "");
        assertThat(text(withoutMoisture, Basis.AS_DOSED).made().otherBasis()).isEqualTo("dry basis: moisture unknown");
        assertThat(text(withoutMoisture, Basis.DRY).made().yield()).isEmpty();
        assertThat(text(withoutMoisture, Basis.DRY).made().wanting())
                .isEqualTo("Unknown. Enter the coffee's moisture below.");
    }

    @Test
    void entriesAreShownWithTheDigitsTheyDeserve() {
        OpenShot shot = open(SHOT.record()
                .with(RecordField.DOSE, "18")
                .with(RecordField.ZERO, "-0.1")
                .with(RecordField.MOISTURE, "2.345"));
        assertThat(LedgerText.shown(shot, RecordField.DOSE)).isEqualTo("18.0");
        assertThat(LedgerText.shown(shot, RecordField.ZERO)).isEqualTo("−0.10");
        assertThat(LedgerText.shown(shot, RecordField.MOISTURE)).isEqualTo("2.345");
        assertThat(LedgerText.shown(shot, RecordField.PULLED_AT)).as("a hyphen in a date is no minus")
                .isEqualTo("2026-05-13 09:04");
        assertThat(LedgerText.shown(shot, RecordField.NOTE)).isEmpty();
        assertThat(LedgerText.shown(null, RecordField.DOSE)).isEmpty();
    }

    @Test
    void fieldsTakeBackWhatTheyShow() {
        ShotRecord record = SHOT.record().with(RecordField.ZERO, "-0.1");
        for (RecordField field : RecordField.values()) {
            if (field.kind() != FieldKind.NUMBER_LIST) {
                assertThat(record.with(field, LedgerText.shown(open(record), field))).as(field.key()).isEqualTo(record);
            }
        }
    }
}
