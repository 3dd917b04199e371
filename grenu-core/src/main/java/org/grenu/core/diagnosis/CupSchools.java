package org.grenu.core.diagnosis;

import java.util.List;

/** Extraction and taste: the positions in use, a pack each. Common practice, no source. */
final class CupSchools {

    static final String YIELD = """
            pack yield
            topic Extraction window
            title 18–22 %
            chosen yes
            rule yield_below_window
            severity note
            sure 0.977
            when yield_pct < 18
            say Extraction lies below the usual window.
            because {yield_pct} % as dosed, U = {yield_u_pct} points; window 18–22 %
            try Finer, then hotter, then longer.
            next Grind one notch finer

            rule yield_above_window
            severity note
            sure 0.977
            when yield_pct > 22
            say Extraction lies above the usual window.
            because {yield_pct} % as dosed, U = {yield_u_pct} points; window 18–22 %
            try Coarser, then cooler, then shorter.
            next Grind one notch coarser
            """;

    static final String SOUR_UNDER = """
            pack sour_under
            topic Sour
            title too little extracted
            chosen no
            rule sour_under
            severity note
            when taste_under > 0
            say It tastes of too little extraction.
            because the noted words; yield {yield_pct} % as dosed
            try Finer, then hotter, then longer.
            next Grind one notch finer
            """;

    static final String SOUR_BRIGHT = """
            pack sour_bright
            topic Sour
            title too bright
            chosen no
            rule sour_bright
            severity note
            when taste_under > 0
            say It tastes too bright.
            because the noted words; yield {yield_pct} % as dosed
            try Cooler, or longer at equal time.
            next One degree cooler
            """;

    static final String BITTER_OVER = """
            pack bitter_over
            topic Bitter
            title too much extracted
            chosen no
            rule bitter_over
            severity note
            when taste_over > 0
            say It tastes of too much extraction.
            because the noted words; yield {yield_pct} % as dosed
            try Coarser, then cooler, then shorter.
            next Grind one notch coarser
            """;

    static final String BITTER_DOSE = """
            pack bitter_dose
            topic Bitter
            title dose down for dark roasts
            chosen no
            rule bitter_dose
            severity note
            when taste_over > 0
            say It tastes of too much extraction.
            because the noted words; yield {yield_pct} % as dosed
            try Lower the dose by half a gram, for dark roasts.
            next Half a gram less dose
            """;

    static final List<String> TEXTS = List.of(YIELD, SOUR_UNDER, SOUR_BRIGHT, BITTER_OVER, BITTER_DOSE);

    private CupSchools() {
    }
}
