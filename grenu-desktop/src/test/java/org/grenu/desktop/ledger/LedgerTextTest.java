package org.grenu.desktop.ledger;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.grenu.app.analysis.ShotAnalysis;
import org.grenu.core.curve.CurveDigest;
import org.grenu.core.extraction.Basis;
import org.grenu.core.extraction.Input;
import org.grenu.core.puck.DemoStudy;
import org.grenu.core.quantity.Reported;
import org.grenu.core.entry.FieldKind;
import org.grenu.core.study.SheetField;
import org.grenu.core.study.Shot;
import org.grenu.core.study.ShotMeasures;
import org.grenu.core.study.ShotSheet;
import org.grenu.desktop.desk.OpenShot;
import org.grenu.library.ShotSummary;
import org.junit.jupiter.api.Test;

/** The ledger's words for what is known, and for what is not. */
class LedgerTextTest {

    private static final Shot SHOT = DemoStudy.shots().get(0).shot();

    private static OpenShot open(ShotSheet sheet) {
        ShotMeasures measures = ShotMeasures.of(SHOT.with(sheet));
        return new OpenShot(
                new ShotAnalysis(new ShotSummary(1, 1, sheet, CurveDigest.of(measures.curve())), SHOT.log(), measures),
                List.of());
    }

    private static LedgerText text(ShotSheet sheet, Basis basis) {
        return LedgerText.of(open(sheet), basis);
    }

    @Test
    void everythingIsThereWhenEverythingIsKnown() {
        LedgerText text = text(SHOT.sheet(), Basis.AS_DOSED);
        assertThat(text.yield().map(Reported::text)).contains("21.10 ±0.16");
        assertThat(text.otherBasis()).isEqualTo("21.49 ±0.18 % dry · moisture 1.8 ±0.4 %");
        assertThat(text.wanting()).isEmpty();
        assertThat(text.budget()).extracting(LedgerText.Share::input)
                .containsExactly(Input.STRENGTH, Input.DOSE, Input.BEVERAGE);
        assertThat(text(SHOT.sheet(), Basis.DRY).budget()).extracting(LedgerText.Share::input).contains(Input.MOISTURE);
        assertThat(text.readings()).isEqualTo("3 readings · mean 9.51 % · s 0.015");
        assertThat(text.times()).extracting(LedgerText.Line::name)
                .startsWith("pump on to pump off", "pump on to last drip", "first drip to pump off");
        assertThat(text.beverage()).isEqualTo("g, weighed");
        assertThat(text.curveMass()).startsWith("curve ends at 40.0");
    }

    @Test
    void whatIsUnknownIsNamedAndNotGuessed() {
        LedgerText nothing = text(ShotSheet.EMPTY, Basis.AS_DOSED);
        assertThat(nothing.yield()).isEmpty();
        assertThat(nothing.wanting()).isEqualTo("Unknown. Enter the dose and a strength reading below.");
        assertThat(nothing.ratio()).isEmpty();
        assertThat(nothing.budget()).isEmpty();
        assertThat(nothing.beverage()).as("the curve gives it").isEqualTo("g, from the curve");
        assertThat(nothing.fromCurve()).isEqualTo("40.0");
        assertThat(nothing.readings()).isEqualTo("none yet");
        ShotSheet withoutMoisture = SHOT.sheet().with(SheetField.MOISTURE, "");
        assertThat(text(withoutMoisture, Basis.AS_DOSED).otherBasis()).isEqualTo("dry basis: moisture unknown");
        assertThat(text(withoutMoisture, Basis.DRY).yield()).isEmpty();
        assertThat(text(withoutMoisture, Basis.DRY).wanting()).isEqualTo("Unknown. Enter the coffee's moisture below.");
    }

    @Test
    void entriesAreShownWithTheDigitsTheyDeserve() {
        OpenShot shot = open(SHOT.sheet()
                .with(SheetField.DOSE, "18")
                .with(SheetField.ZERO, "-0.1")
                .with(SheetField.MOISTURE, "2.345"));
        assertThat(LedgerText.shown(shot, SheetField.DOSE)).isEqualTo("18.0");
        assertThat(LedgerText.shown(shot, SheetField.ZERO)).isEqualTo("−0.10");
        assertThat(LedgerText.shown(shot, SheetField.MOISTURE)).isEqualTo("2.345");
        assertThat(LedgerText.shown(shot, SheetField.PULLED_AT)).as("a hyphen in a date is no minus")
                .isEqualTo("2026-05-13 09:04");
        assertThat(LedgerText.shown(shot, SheetField.NOTE)).isEmpty();
        assertThat(LedgerText.shown(null, SheetField.DOSE)).isEmpty();
    }

    @Test
    void fieldsTakeBackWhatTheyShow() {
        ShotSheet sheet = SHOT.sheet().with(SheetField.ZERO, "-0.1");
        for (SheetField field : SheetField.values()) {
            if (field.kind() != FieldKind.NUMBER_LIST) {
                assertThat(sheet.with(field, LedgerText.shown(open(sheet), field))).as(field.key()).isEqualTo(sheet);
            }
        }
    }
}
