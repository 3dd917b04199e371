package org.grenu.app.findings;

import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.grenu.app.OpenLibrary;
import org.grenu.app.analysis.ShotAnalysis;
import org.grenu.app.study.ShotsByTime;
import org.grenu.core.curve.CurveMeasures;
import org.grenu.core.diagnosis.Diagnosis;
import org.grenu.core.diagnosis.Finding;
import org.grenu.core.diagnosis.RulePack;
import org.grenu.core.diagnosis.ShotContext;
import org.grenu.library.ShotSummary;

/**
 * What rules find in the shots of a library. It is kept there as words, so that a large one is searched at once the
 * next time.
 */
public final class FindingIndex {

    private final OpenLibrary open;

    /** Over that library. */
    public FindingIndex(OpenLibrary open) {
        this.open = open;
    }

    /** {@return what those rules find in that shot, which was pulled after that one} */
    public static List<Finding> of(ShotAnalysis shot, Optional<ShotSummary> before, List<RulePack> packs) {
        return Diagnosis.of(new ShotContext(shot.summary().record(), shot.measures(), before.map(ShotSummary::record)),
                packs);
    }

    /**
     * {@return a name for what findings rest on beside the shots: other rules, or another analysis of curves, find
     * otherwise}
     */
    public static String basis(List<RulePack> packs) {
        String rules = packs.stream().map(RulePack::text).collect(Collectors.joining("\n"));
        return CurveMeasures.ALGORITHM_VERSION + "/" + Integer.toHexString(rules.hashCode());
    }

    /** {@return by shot what was worked out on that basis before} */
    public Map<Long, String> kept(String basis) {
        return open.library().read(tx -> tx.findings().on(basis));
    }

    /**
     * {@return by shot the names of the rules that speak of it and what they say, a line each, in small letters} It
     * is kept.
     */
    public Map<Long, String> look(List<ShotSummary> shots, ShotsByTime order, List<RulePack> packs) {
        Map<Long, String> found = new HashMap<>();
        for (ShotSummary shot : shots) {
            found.put(shot.id(), of(open.analyses().of(shot), order.before(shot), packs).stream()
                    .map(finding -> finding.rule() + ": " + finding.statement())
                    .collect(Collectors.joining("\n"))
                    .toLowerCase(Locale.ROOT));
        }
        open.library().store(tx -> tx.findings().keep(basis(packs), found));
        return found;
    }

    /** {@return the name of the rule in a line of those words} */
    public static String rule(String line) {
        return line.substring(0, Math.max(0, line.indexOf(':')));
    }
}
