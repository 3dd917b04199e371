package org.grenu.core.diagnosis;

/** The rules that the schools share, in the form in which people edit them. The limits are common practice, no source. */
final class CommonPractice {

    static final String TEXT = """
            pack common
            title Common practice
            chosen yes
            rule no_drip
            severity fault
            when peak_pressure_bar > 5
            when cup_gain_g < 0.7
            say Nothing reached the cup: the puck choked.
            because pressure reached {peak_pressure_bar} bar, the cup gained less than 0.7 g
            try Grind coarser, or lower the dose. The holder stays under pressure: never unlock it before the pressure has gone.
            next Grind two notches coarser

            rule late_drip
            severity check
            when drip_wait_s > 10
            when pressure_before_drip_bar > 5
            say The first drip came {drip_wait_s} s after pump on, under full pressure.
            because {pressure_before_drip_bar} bar one second before it; 2–10 s is usual for a plain shot
            at first_drip_s
            try If no soft pre-infusion was meant, grind coarser.
            next Grind one notch coarser

            rule pressure_not_reached
            severity check
            when pressure_short_bar > 1
            when cup_gain_g > 5
            say The pressure never came near what was meant.
            because {peak_pressure_bar} bar at most, {pressure_short_bar} bar short
            at main_from_s
            try Too coarse or too little coffee: grind finer, or raise the dose to what the basket holds.
            next Grind one notch finer

            rule steps_ran_out
            severity check
            when time_limit_steps > 0
            say A step of the profile ended by its time limit, not by what it waited for.
            because {time_limit_steps} of its steps; the shot was {inside_share_pct} % of its time within the corridor
            at time_limit_at_s
            try If the limit was not meant to decide, grind coarser or give the step more time.

            rule soak_too_fine
            severity check
            when time_limit_steps > 0
            when soak_s > 5
            when flow_mean_g_s < 0.9
            say Nothing dripped in the soak, and the flow stayed low: the grind is too fine for this profile.
            because {flow_mean_g_s} g/s on average, soak {soak_s} s
            at first_drip_s
            try Grind coarser, or let the soak last until it drips.
            next Grind one notch coarser

            rule erosion
            severity note
            when pressure_sag_bar > 0.8
            when flow_rise_g_s > 0.4
            say The pressure sagged while the flow climbed: the puck gave way.
            because {pressure_sag_bar} bar lost and {flow_rise_g_s} g/s gained in the main phase; resistance falls by {erosion_pct_s} % a second
            at main_from_s
            try Finer with less pressure, or a gentler ramp; check distribution.

            rule channel
            severity check
            when channel_likelihood_pct > 80
            when channel_fall_pct > 15
            say The resistance fell abruptly, as a channel would make it.
            because {channel_fall_pct} % within about a second; likelihood {channel_likelihood_pct} %, a sign and not a proof
            at channel_at_s
            try Distribute and tamp again the same way; if it comes back, lower the peak pressure.
            next Repeat with a fresh, level puck

            rule fast_flow
            severity check
            when flow_mean_g_s > 3.2
            say The shot ran fast: the puck held little back.
            because {flow_mean_g_s} g/s on average from first drip to pump off
            at first_drip_s
            try If no fast shot was meant, grind finer or check the dose and the puck.
            next Grind one notch finer

            rule log_cut_off
            severity check
            when flow_at_end_g_s > 0.4
            say The log ends while coffee still flows.
            because {flow_at_end_g_s} g/s at the last sample
            at pump_off_s
            try Weigh the cup and enter the beverage mass; log on until the last drip.

            rule overshoot
            severity note
            when overshoot_g > 1.5
            when beverage_over_g > 0.5
            say More came after the stop than the target allows.
            because {overshoot_g} g came after pump off, {stop_lag_s} s of the flow then; {beverage_g} g in the cup, {beverage_target_g} g meant
            at pump_off_s
            try Stop earlier.
            next Stop at {stop_at_g} g on the scale

            rule dose_off
            severity note
            when dose_off_g > 0.3
            say The dose is off what was meant.
            because {dose_g} g, {dose_target_g} g meant; ±0.3 g is a usual tolerance, ±0.1 g a strict one
            try Weigh again after grinding and trim.

            rule beverage_off
            severity note
            when beverage_off_g > 0.5
            say The beverage mass is off what was meant.
            because {beverage_g} g, {beverage_target_g} g meant; ±0.5 g is a usual tolerance
            try Compare it with others at equal beverage mass only.

            rule beverage_disagrees
            severity check
            when beverage_disagreement_g > 0.5
            say The weighed beverage mass and the curve disagree.
            because weighed {weighed_g} g, curve {curve_beverage_g} g
            try Check the tare and drips that missed the cup; the weighed value is used.

            rule basket_overfilled
            severity check
            when basket_over_g > 1.5
            say The dose is more than the basket is made for.
            because {basket_over_g} g over; the bed may touch the screen before it swells
            try Lower the dose or take the next basket.

            rule basket_underfilled
            severity note
            when basket_under_g > 3
            say The dose is far below what the basket is made for.
            because {basket_under_g} g under; much headspace takes water and time to fill
            try Take a smaller basket.

            rule above_boiling
            severity fault
            when above_boiling_c > 0
            say The set temperature lies above the boiling point at this altitude.
            because set {temperature_c} °C, water boils at {boiling_point_c} °C
            try Lower the temperature. Flashing water scalds: keep clear of the group and follow the machine's instructions.
            next Set the temperature below {boiling_point_c} °C

            rule temperature_off
            severity check
            when temperature_off_c > 2
            say The temperature shown was off its set point.
            because {temperature_shown_c} °C on average, set {temperature_c} °C
            try Let the machine warm up or flush; check where the sensor sits.

            rule no_purge
            severity note
            when grind_changed > 0
            when purge_g < 0.5
            say The grind was changed without a purge: yesterday's grounds may be in this dose.
            because changed by {grind_changed}, {purge_g} g purged
            try Purge a few grams after a change, or count this shot less.
            next Repeat after a purge

            rule zero_check_missing
            severity note
            when readings > 0
            when zero_pct unknown
            say No zero check is recorded.
            because an offset of the instrument would go straight into the strength
            try Read the rinse water before the sample.

            rule zero_check_large
            severity check
            when zero_size_pct > 0.0501
            say The zero check is far from zero.
            because {zero_pct+} points, subtracted; up to ±0.05 is usual
            try Clean the prism, set zero and read again.

            rule few_readings
            severity note
            when readings > 0
            when readings < 3
            say Fewer than three strength readings.
            because {readings} recorded; three or more show whether the sample was even and still
            try Read the sample again.

            rule reading_outlier
            severity check
            when outlier_number known
            say Reading {outlier_number} stands apart from the others.
            because {outlier_pct} % against a mean of {mean_reading_pct} %; Grubbs, 5 %
            try Stir, take a new sample and read again; the reading still counts until you remove it.

            rule reading_drift
            severity check
            when drift_pct > 0
            say The readings climb from one to the next.
            because {drift_pct+} points per reading, p = {drift_p}
            try Evaporation or cooling: cover the sample and let it reach room temperature.

            rule reading_sinks
            severity check
            when drift_pct < 0
            say The readings fall from one to the next.
            because {drift_pct+} points per reading, p = {drift_p}
            try Stir, and let prism and sample reach one temperature.

            rule taste_both
            severity check
            when taste_under > 0
            when taste_over > 0
            say It tastes of too little and too much extraction at once.
            because words of both sides are noted
            try That points to channelling: look at the resistance and at the puck.

            rule taste_sour_high
            severity check
            sure 0.9
            when taste_under > 0
            when yield_pct > 21.5
            say Taste and measurement disagree: sour, yet well extracted.
            because {yield_pct} % as dosed
            try Channelling or the bean itself: acid is not sour. Taste again blind before changing anything.

            rule taste_bitter_low
            severity check
            sure 0.9
            when taste_over > 0
            when yield_pct < 18
            say Taste and measurement disagree: bitter, yet little extracted.
            because {yield_pct} % as dosed
            try Channelling or the roast itself. Taste again blind before changing anything.
            """;

    private CommonPractice() {
    }
}
