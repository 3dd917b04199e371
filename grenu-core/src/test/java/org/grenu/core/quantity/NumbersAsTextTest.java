package org.grenu.core.quantity;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Locale;
import org.grenu.core.property.Draws;
import org.grenu.core.property.Seeds;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class NumbersAsTextTest {

    @Test
    void pointAndCommaAreBothDecimalMarksInEveryLocale() {
        Locale before = Locale.getDefault();
        try {
            for (Locale locale : new Locale[] {Locale.ENGLISH, Locale.GERMANY, Locale.forLanguageTag("ar")}) {
                Locale.setDefault(locale);
                assertThat(DecimalText.parse(" 18,5 ")).hasValue(18.5);
                assertThat(DecimalText.parse("18.5")).hasValue(18.5);
                assertThat(DecimalText.parse("\u22120.02")).hasValue(-0.02);
                assertThat(Reported.of(Measured.independent(21.538, 0.0783)).text()).isEqualTo("21.54 ±0.16");
            }
        } finally {
            Locale.setDefault(before);
        }
    }

    @ParameterizedTest
    @ValueSource(strings = {"abc", "1,234.5", "1.2.3", "", "-", ".", "NaN", "Infinity", "1e999", "0x10", "12 g", "１２"})
    void whatIsNoPlainNumberIsRefused(String text) {
        assertThat(DecimalText.parse(text)).isEmpty();
    }

    @ParameterizedTest
    @Seeds(100)
    void exactTextReadsBackTheSame(Draws any) {
        for (double value : any.list(12, 12, any::anyDouble)) {
            if (Double.isFinite(value)) {
                assertThat(DecimalText.parse(DecimalText.exact(value)).getAsDouble() + 0.0).isEqualTo(value + 0.0);
            }
        }
    }

    /** The short way of reading few digits is held against the library's reading. */
    @ParameterizedTest
    @Seeds(100)
    void digitsReadAsTheLibraryReadsThemToTheLastBit(Draws any) {
        for (int count = 1; count <= 18; count++) {
            StringBuilder text = new StringBuilder(any.toss() ? "-" : "");
            for (int i = 0; i < count; i++) {
                text.append(any.integer(0, 9));
            }
            text.insert(text.length() - any.integer(0, count - 1), any.toss() ? "." : ",");
            double expected = Double.parseDouble(text.toString().replace(',', '.'));
            assertThat(DecimalText.parse(text.toString()).getAsDouble()).isEqualTo(expected)
                    .matches(value -> 1 / value > 0 == 1 / expected > 0, "the sign of nought");
        }
    }

    @ParameterizedTest
    @CsvSource({"21.5384, 0.0783, 21.54 ±0.16", "9.32, 0.0556, 9.32 ±0.11", "20.83, 0.16, 20.8 ±0.3",
            "-0.0004, 0.05, 0.00 ±0.10",
            "-1.26, 0.25, −1.3 ±0.5", "1234.6, 21, 1235 ±42", "41.2, 0, 41.20"})
    void onlyMeaningfulDigitsAreShown(double value, double u, String shown) {
        assertThat(Reported.of(Measured.independent(value, u)).text()).isEqualTo(shown);
    }

    @ParameterizedTest
    @CsvSource({"0.34, +0.3", "0.04, 0.0", "-0.04, 0.0", "-0.34, −0.3"})
    void aDifferenceThatIsShownAsNoughtHasNoSign(double difference, String shown) {
        assertThat(Reported.signed(difference, 1)).isEqualTo(shown);
    }

    /** NIST SP 811, appendix B: 1 psi = 6.894 757 kPa. */
    @Test
    void unitsConvert() {
        assertThat(Unit.PSI.toCanonical(130)).isCloseTo(8.963, within(5e-4));
        assertThat(Unit.KILOPASCAL.toCanonical(900)).isCloseTo(9, within(1e-12));
        assertThat(Unit.FAHRENHEIT.toCanonical(200)).isCloseTo(93.333, within(5e-4));
        assertThat(Unit.find("KPA", Quantity.PRESSURE)).contains(Unit.KILOPASCAL);
        assertThat(Unit.find("g", Quantity.PRESSURE)).isEmpty();
    }

    @ParameterizedTest
    @Seeds(100)
    void shortNumbersAreWrittenAsTheLibraryWritesThem(Draws any) {
        for (int i = 0; i < 200; i++) {
            double value = any.integer(-2_000_000_000, 2_000_000_000) / Math.pow(10, any.integer(1, 6));
            String whole = value == Math.rint(value) ? Long.toString((long) value) : Double.toString(value);
            assertThat(DecimalText.exact(value)).isEqualTo(whole);
        }
    }
}
