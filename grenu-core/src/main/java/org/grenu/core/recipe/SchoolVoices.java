package org.grenu.core.recipe;

import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import org.grenu.core.diagnosis.RulePack;
import org.grenu.core.diagnosis.ShotContext;
import org.grenu.core.diagnosis.StartEntry;
import org.grenu.core.diagnosis.StartRule;

/** What schools say of the shot to begin with: those that speak, and the others beside them. */
record SchoolVoices(ShotContext context, List<RulePack> speaking, List<RulePack> all) {

    /** What one of them says. */
    record Said(RulePack pack, StartRule rule) {

        String words() {
            return rule.because() + " (" + pack.school() + ")";
        }
    }

    /** {@return what the first of the speaking schools says} */
    Optional<Said> said(StartEntry entry) {
        return speaking.stream().flatMap(pack -> said(pack, entry).stream()).findFirst();
    }

    private Optional<Said> said(RulePack pack, StartEntry entry) {
        return pack.starts()
                .stream()
                .filter(rule -> rule.entry() == entry && rule.speaks(context))
                .findFirst()
                .map(rule -> new Said(pack, rule));
    }

    /** {@return what the others say instead} */
    List<Proposed.Other> others(StartEntry entry, Function<StartRule, String> value) {
        Optional<String> speaking = said(entry).map(said -> said.pack.id());
        return all.stream()
                .filter(pack -> !speaking.equals(Optional.of(pack.id())))
                .flatMap(pack -> said(pack, entry).stream())
                .map(said -> new Proposed.Other(value.apply(said.rule), said.rule.because(), said.pack.school()))
                .toList();
    }
}
