package org.grenu.figures.compare;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import org.grenu.core.curve.AxisKind;
import org.grenu.core.curve.Channel;
import org.grenu.core.record.OwnFactor;
import org.grenu.core.record.ShotRecord;
import org.grenu.figures.paint.Ticks;
import org.grenu.figures.read.AxisRange;
import org.grenu.figures.theme.Theme;
import org.grenu.figures.theme.TreatmentScale;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Where things lie in an overlay, whatever its size. */
class OverlayLayoutTest {

    private static OverlayFigure figure(int facets, int strips) {
        List<OverlayStrip> of = IntStream.range(0, strips)
                .mapToObj(i -> new OverlayStrip(Channel.values()[i], 0, 10, Ticks.of(0, 10, 3)))
                .toList();
        List<Facet> fields = IntStream.range(0, facets)
                .mapToObj(i -> new Facet("field " + i, "", Map.of(), Map.of()))
                .toList();
        return new OverlayFigure(AxisKind.FIRST_DRIP, "s", new AxisRange(-10, 30), of, fields);
    }

    @ParameterizedTest
    @CsvSource({"1, 1, 400, 200", "2, 3, 690, 340", "4, 6, 1000, 600", "3, 2, 120, 40"})
    void fieldsAndStripsNeitherOverlapNorLeaveTheFigure(int facets, int strips, double width, double height) {
        OverlayLayout layout = new OverlayLayout(width, height, figure(facets, strips), new AxisRange(-10, 30));
        for (int f = 0; f < facets; f++) {
            assertThat(layout.right(f)).isGreaterThan(layout.left(f) + 10);
            assertThat(f == 0 || layout.left(f) > layout.right(f - 1)).isTrue();
            assertThat(layout.x(f, -10)).isCloseTo(layout.left(f), within(1e-9));
            assertThat(layout.x(f, 30)).isCloseTo(layout.right(f), within(1e-9));
            for (double at = -10; at <= 30; at += 8) {
                assertThat(layout.at(layout.x(f, at))).isCloseTo(at, within(1e-9));
            }
        }
        assertThat(layout.right(facets - 1)).isLessThan(layout.width());
        for (int s = 0; s < strips; s++) {
            assertThat(layout.y(s, 0)).isCloseTo(layout.bottom(s), within(1e-9));
            assertThat(layout.y(s, 10)).isCloseTo(layout.top(s), within(1e-9));
            assertThat(s == 0 || layout.top(s) > layout.bottom(s - 1)).isTrue();
        }
        assertThat(layout.bottom(strips - 1)).isCloseTo(layout.plotsBottom(), within(1e-9));
    }

    @Test
    void aPlaceOutsideIsKeptWithinTheView() {
        OverlayLayout layout = new OverlayLayout(690, 340, figure(2, 3), new AxisRange(0, 20));
        assertThat(layout.at(-50)).isZero();
        assertThat(layout.at(5000)).isEqualTo(20);
        assertThat(layout.facetAt(-50)).isZero();
        assertThat(layout.facetAt(5000)).isEqualTo(1);
    }

    /** What the user makes up gets colours like any other factor: numbers along the seam, words as chips. */
    @Test
    void ownFactorsAreColouredByTheirKind() {
        List<ShotRecord> grams = IntStream.rangeClosed(0, 4)
                .mapToObj(i -> ShotRecord.EMPTY.withExtra("chilled", 5 * i + " g"))
                .toList();
        TreatmentScale numbers = TreatmentScale.of(OwnFactor.of("chilled", grams).orElseThrow(), grams);
        assertThat(numbers.levels()).containsExactly("0", "5", "10", "15", "20");
        assertThat(numbers.color(grams.get(0), Theme.LIGHT)).isEqualTo(Theme.LIGHT.color("seam-1"));
        assertThat(numbers.color(grams.get(4), Theme.LIGHT)).isEqualTo(Theme.LIGHT.color("seam-5"));
        List<ShotRecord> words = List.of(ShotRecord.EMPTY.withExtra("screen", "old"),
                ShotRecord.EMPTY.withExtra("screen", "new"), ShotRecord.EMPTY);
        TreatmentScale chips = TreatmentScale.of(OwnFactor.of("screen", words).orElseThrow(), words);
        assertThat(chips.levels()).containsExactly("new", "old");
        assertThat(chips.color(words.get(1), Theme.DARK)).isEqualTo(Theme.DARK.color("chip-1"));
        assertThat(chips.color(words.get(2), Theme.DARK)).as("unknown is muted").isEqualTo(Theme.DARK.color("muted"));
    }
}
