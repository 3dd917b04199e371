package org.grenu.core.diagnosis;

import java.util.List;

/** How long a shot takes: the positions in use, a pack each. Common practice, no source. */
final class TimeSchools {

    static final String TIME_20_25 = """
            pack time_20_25
            topic Time window
            title 20–25 s
            chosen no
            rule shot_early
            severity note
            when shot_time_s < 20
            when soak_s < 3
            when cup_gain_g > 5
            say The shot was early against its window.
            because {shot_time_s} s from pump on to pump off; 20–25 s
            at pump_off_s
            try Grind finer.
            next Grind one notch finer

            rule shot_late
            severity note
            when shot_time_s > 25
            when soak_s < 3
            when cup_gain_g > 5
            say The shot was late against its window.
            because {shot_time_s} s from pump on to pump off; 20–25 s
            at pump_off_s
            try Grind coarser.
            next Grind one notch coarser
            """;

    static final String TIME_25_5 = """
            pack time_25_5
            topic Time window
            title 25 ± 5 s
            chosen no
            rule shot_early
            severity note
            when shot_time_s < 20
            when soak_s < 3
            when cup_gain_g > 5
            say The shot was early against its window.
            because {shot_time_s} s from pump on to pump off; 25 ± 5 s
            at pump_off_s
            try Grind finer.
            next Grind one notch finer

            rule shot_late
            severity note
            when shot_time_s > 30
            when soak_s < 3
            when cup_gain_g > 5
            say The shot was late against its window.
            because {shot_time_s} s from pump on to pump off; 25 ± 5 s
            at pump_off_s
            try Grind coarser.
            next Grind one notch coarser
            """;

    static final String TIME_25_30 = """
            pack time_25_30
            topic Time window
            title 25–30 s
            chosen no
            rule shot_early
            severity note
            when shot_time_s < 25
            when soak_s < 3
            when cup_gain_g > 5
            say The shot was early against its window.
            because {shot_time_s} s from pump on to pump off; 25–30 s
            at pump_off_s
            try Grind finer.
            next Grind one notch finer

            rule shot_late
            severity note
            when shot_time_s > 30
            when soak_s < 3
            when cup_gain_g > 5
            say The shot was late against its window.
            because {shot_time_s} s from pump on to pump off; 25–30 s
            at pump_off_s
            try Grind coarser.
            next Grind one notch coarser
            """;

    static final String TIME_26_32 = """
            pack time_26_32
            topic Time window
            title 26–32 s at 1:2
            chosen no
            rule shot_early
            severity note
            when shot_time_s < 26
            when soak_s < 3
            when ratio > 1.8
            when ratio < 2.2
            when cup_gain_g > 5
            say The shot was early against its window.
            because {shot_time_s} s from pump on to pump off; 26–32 s at 1:2
            at pump_off_s
            try Grind finer.
            next Grind one notch finer

            rule shot_late
            severity note
            when shot_time_s > 32
            when soak_s < 3
            when ratio > 1.8
            when ratio < 2.2
            when cup_gain_g > 5
            say The shot was late against its window.
            because {shot_time_s} s from pump on to pump off; 26–32 s at 1:2
            at pump_off_s
            try Grind coarser.
            next Grind one notch coarser
            """;

    static final String TIME_20_35 = """
            pack time_20_35
            topic Time window
            title 20–35 s, taste decides
            chosen no
            rule shot_early
            severity note
            when shot_time_s < 20
            when soak_s < 3
            when cup_gain_g > 5
            say The shot was early against its window.
            because {shot_time_s} s from pump on to pump off; 20–35 s, taste decides
            at pump_off_s
            try Grind finer. Taste decides within the window.
            next Grind one notch finer

            rule shot_late
            severity note
            when shot_time_s > 35
            when soak_s < 3
            when cup_gain_g > 5
            say The shot was late against its window.
            because {shot_time_s} s from pump on to pump off; 20–35 s, taste decides
            at pump_off_s
            try Grind coarser. Taste decides within the window.
            next Grind one notch coarser
            """;

    static final String TIME_FAST = """
            pack time_fast
            topic Time window
            title fast shot, about 15 s
            chosen no
            rule shot_early
            severity note
            when shot_time_s < 12
            when soak_s < 3
            when cup_gain_g > 5
            say The shot was early against its window.
            because {shot_time_s} s from pump on to pump off; fast shot, about 15 s
            at pump_off_s
            try Grind finer.
            next Grind one notch finer

            rule shot_late
            severity note
            when shot_time_s > 18
            when soak_s < 3
            when cup_gain_g > 5
            say The shot was late against its window.
            because {shot_time_s} s from pump on to pump off; fast shot, about 15 s
            at pump_off_s
            try Grind coarser.
            next Grind one notch coarser
            """;

    static final String TIME_PROFILED = """
            pack time_profiled
            topic Time window
            title profiled shot: ignore time
            chosen no
            rule shot_very_long
            severity note
            when shot_time_s > 120
            say The shot took longer than even long profiles do.
            because {shot_time_s} s from pump on to pump off; 60–120 s is usual for profiled shots
            at pump_off_s
            try Grind coarser.
            """;

    static final List<String> TEXTS = List.of(TIME_20_25, TIME_25_5, TIME_25_30, TIME_26_32, TIME_20_35, TIME_FAST, TIME_PROFILED);

    private TimeSchools() {
    }
}
