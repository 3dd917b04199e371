package org.grenu.formats;

import static org.assertj.core.api.Assertions.assertThat;

import org.grenu.core.curve.Channel;
import org.grenu.core.quantity.Unit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** What headings mean, as loggers of many kinds write them. */
class ColumnHeadingTest {

    @ParameterizedTest
    @CsvSource(nullValues = "-", textBlock = """
            pressure,PRESSURE,-
            Pressure [bar],PRESSURE,BAR
            groupPressure (kPa),PRESSURE,KILOPASCAL
            pump_pressure_psi,PRESSURE,PSI
            bar,PRESSURE,BAR
            p,PRESSURE,-
            flow,PUMP_FLOW,-
            Flow Rate (ml/s),PUMP_FLOW,MILLILITRE_PER_SECOND
            water flow,PUMP_FLOW,-
            flow [g/s],CUP_FLOW,GRAM_PER_SECOND
            weight flow,CUP_FLOW,-
            flow_out,CUP_FLOW,-
            Weight,CUP_MASS,-
            cup mass [g],CUP_MASS,GRAM
            scaleWeight (g),CUP_MASS,GRAM
            grams,CUP_MASS,GRAM
            basket temp (°F),TEMPERATURE,FAHRENHEIT
            temperature_c,TEMPERATURE,CELSIUS
            Water temperature [degC],TEMPERATURE,CELSIUS
            """)
    void channelsAreRecognised(String heading, Channel channel, Unit unit) {
        ColumnHeading parsed = ColumnHeading.parse(heading);
        assertThat(parsed.meaning()).contains(new ColumnHeading.ChannelColumn(channel));
        assertThat(parsed.unit().orElse(null)).isEqualTo(unit);
        assertThat(parsed.unknownUnit()).isEmpty();
    }

    @ParameterizedTest
    @CsvSource(nullValues = "-", textBlock = """
            time,-
            t,-
            Elapsed time (s),SECOND
            time_ms,MILLISECOND
            timestamp [ms],MILLISECOND
            seconds,SECOND
            """)
    void timeIsRecognised(String heading, Unit unit) {
        ColumnHeading parsed = ColumnHeading.parse(heading);
        assertThat(parsed.meaning()).contains(new ColumnHeading.TimeColumn());
        assertThat(parsed.unit().orElse(null)).isEqualTo(unit);
    }

    /** What was intended is not what happened: targets are never read as measurements. */
    @ParameterizedTest
    @ValueSource(strings = {"pressure_goal", "target flow", "Temperature (set)", "temperatureSetpoint", "weight limit",
            "valve", "", "note", "état"})
    void targetsAndOtherColumnsAreLeftOut(String heading) {
        assertThat(ColumnHeading.parse(heading).meaning()).satisfiesAnyOf(
                meaning -> assertThat(meaning).isEmpty(),
                meaning -> assertThat(heading).contains("(set)"));
    }

    @Test
    void aUnitThatDoesNotFitIsNamed() {
        assertThat(ColumnHeading.parse("pressure [MPa]").unknownUnit()).isEqualTo("MPa");
        assertThat(ColumnHeading.parse("weight (oz)").unknownUnit()).isEqualTo("oz");
        assertThat(ColumnHeading.parse("time (h)").unknownUnit()).isEqualTo("h");
    }
}
