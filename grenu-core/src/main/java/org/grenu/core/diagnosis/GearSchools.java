package org.grenu.core.diagnosis;

import java.util.List;

/** Rest, pressure, temperature and dose: the positions in use, a pack each. Common practice, no source. */
final class GearSchools {

    static final String REST_5_14 = """
            pack rest_5_14
            topic Rest
            title 5–14 days
            chosen no
            rule too_fresh
            severity note
            when age_days < 5
            say The coffee is younger than this school wants it.
            because {age_days} days since roast; 5–14 days
            try Let it rest; gas holds water back and moves the numbers from day to day.

            rule too_old
            severity note
            when age_days > 14
            say The coffee is older than this school wants it.
            because {age_days} days since roast; 5–14 days
            try Grind a little finer, or open a fresher bag.
            """;

    static final String REST_1_3W = """
            pack rest_1_3w
            topic Rest
            title 1–3 weeks
            chosen no
            rule too_fresh
            severity note
            when age_days < 7
            say The coffee is younger than this school wants it.
            because {age_days} days since roast; 1–3 weeks
            try Let it rest; gas holds water back and moves the numbers from day to day.

            rule too_old
            severity note
            when age_days > 21
            say The coffee is older than this school wants it.
            because {age_days} days since roast; 1–3 weeks
            try Grind a little finer, or open a fresher bag.
            """;

    static final String REST_2W = """
            pack rest_2w
            topic Rest
            title at least 2 weeks
            chosen no
            rule too_fresh
            severity note
            when age_days < 14
            say The coffee is younger than this school wants it.
            because {age_days} days since roast; at least 2 weeks
            try Let it rest; gas holds water back and moves the numbers from day to day.
            """;

    static final String REST_6W = """
            pack rest_6w
            topic Rest
            title 6 weeks works with a gentle profile
            chosen no
            rule too_old
            severity note
            when age_days > 42
            say The coffee is older than this school wants it.
            because {age_days} days since roast; 6 weeks works with a gentle profile
            try Grind a little finer, or open a fresher bag.
            """;

    static final String PRESSURE_9 = """
            pack pressure_9
            topic Pressure
            title 9 ± 1 bar
            chosen no
            rule pressure_above_school
            severity note
            when peak_pressure_bar > 10
            say The pressure went above what this school wants.
            because {peak_pressure_bar} bar at most; 9 ± 1 bar
            at main_from_s
            try Have the pump pressure checked by a qualified technician, or change the profile.

            rule pressure_below_school
            severity note
            when peak_pressure_bar < 8
            when cup_gain_g > 5
            say The pressure stayed below what this school wants.
            because {peak_pressure_bar} bar at most; 9 ± 1 bar
            at main_from_s
            try Have the pump pressure checked by a qualified technician, or change the profile.
            """;

    static final String PRESSURE_4_6 = """
            pack pressure_4_6
            topic Pressure
            title 4–6 bar for long coarse shots
            chosen no
            rule pressure_above_school
            severity note
            when peak_pressure_bar > 6
            say The pressure went above what this school wants.
            because {peak_pressure_bar} bar at most; 4–6 bar for long coarse shots
            at main_from_s
            try Change the profile.

            rule pressure_below_school
            severity note
            when peak_pressure_bar < 4
            when cup_gain_g > 5
            say The pressure stayed below what this school wants.
            because {peak_pressure_bar} bar at most; 4–6 bar for long coarse shots
            at main_from_s
            try Change the profile.
            """;

    static final String PRESSURE_PROFILED = """
            pack pressure_profiled
            topic Pressure
            title profiled: 2.5–4 bar soft soak, then peak, then taper
            chosen no
            rule no_soak
            severity note
            when soak_s < 2
            when cup_gain_g > 5
            say The shot had no soft soak.
            because soak {soak_s} s; this school wants 2.5–4 bar until coffee appears
            try Begin softly and let the bed fill before the peak.
            """;

    static final String TEMPERATURE_EXTRACTION = """
            pack temperature_extraction
            topic Temperature
            title a lever of extraction, 88–95 °C
            chosen no
            rule cool_for_school
            severity note
            when temperature_c < 88
            say The water is cooler than this school's range.
            because {temperature_c} °C set; a lever of extraction, 88–95 °C
            try Hotter if it is thin or bland.

            rule hot_for_school
            severity note
            when temperature_c > 95
            say The water is hotter than this school's range.
            because {temperature_c} °C set; a lever of extraction, 88–95 °C
            try Cooler if it is unpleasant.
            """;

    static final String TEMPERATURE_PERCEPTION = """
            pack temperature_perception
            topic Temperature
            title a lever of perception, 90.5–96 °C
            chosen no
            rule cool_for_school
            severity note
            when temperature_c < 90.5
            say The water is cooler than this school's range.
            because {temperature_c} °C set; a lever of perception, 90.5–96 °C
            try Hotter shows acidity.

            rule hot_for_school
            severity note
            when temperature_c > 96
            say The water is hotter than this school's range.
            because {temperature_c} °C set; a lever of perception, 90.5–96 °C
            try Cooler shows sweetness.
            """;

    static final String DOSE_STRICT = """
            pack dose_strict
            topic Dose tolerance
            title ±0.1 g
            chosen no
            rule dose_off_strict
            severity note
            when dose_off_g > 0.1001
            say The dose is off by more than this school tolerates.
            because {dose_g} g, {dose_target_g} g meant; ±0.1 g
            try Weigh again after grinding and trim.
            """;

    static final List<String> TEXTS = List.of(REST_5_14, REST_1_3W, REST_2W, REST_6W, PRESSURE_9, PRESSURE_4_6, PRESSURE_PROFILED,
            TEMPERATURE_EXTRACTION, TEMPERATURE_PERCEPTION, DOSE_STRICT);

    private GearSchools() {
    }
}
