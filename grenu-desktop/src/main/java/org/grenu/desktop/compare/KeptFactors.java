package org.grenu.desktop.compare;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.grenu.core.record.Factor;
import org.grenu.core.record.ShotRecord;
import org.grenu.core.response.Variable;

/**
 * Factors that the user chose, by their keys, for the next time: they count where they changed among the shots picked
 * then.
 *
 * @param first      gives the colour
 * @param others     beside it
 * @param block      whose own level is taken out; {@link #NONE} for no block
 * @param sideBySide whose levels stand side by side; likewise
 */
record KeptFactors(Optional<String> first, Optional<List<String>> others, Optional<String> block,
        Optional<String> sideBySide) {

    /** Nothing was chosen. */
    static final KeptFactors USUAL = new KeptFactors(Optional.empty(), Optional.empty(), Optional.empty(),
            Optional.empty());
    static final String NONE = "none";

    /** {@return those in the lines of kept choices} */
    static KeptFactors of(Map<String, String> lines) {
        return new KeptFactors(Optional.ofNullable(lines.get("colour")).filter(key -> !key.isBlank()),
                Optional.ofNullable(lines.get("others"))
                        .map(keys -> Arrays.stream(keys.split(";")).filter(key -> !key.isBlank()).toList()),
                Optional.ofNullable(lines.get("block")).filter(key -> !key.isBlank()),
                Optional.ofNullable(lines.get("side_by_side")).filter(key -> !key.isBlank()));
    }

    /** {@return as lines of kept choices} */
    String lines() {
        return first.map(key -> "\ncolour=" + key).orElse("")
                + others.map(keys -> "\nothers=" + String.join(";", keys)).orElse("")
                + block.map(key -> "\nblock=" + key).orElse("")
                + sideBySide.map(key -> "\nside_by_side=" + key).orElse("");
    }

    /** {@return this with what was chosen since} */
    KeptFactors with(Optional<List<Variable>> chosenOthers, Optional<Optional<Factor>> chosenBlock,
            Optional<Optional<Factor>> chosenSideBySide) {
        return new KeptFactors(first, chosenOthers.map(KeptFactors::keys).or(() -> others),
                chosenBlock.map(KeptFactors::key).or(() -> block),
                chosenSideBySide.map(KeptFactors::key).or(() -> sideBySide));
    }

    /** {@return this with that factor first} */
    KeptFactors withFirst(Factor factor) {
        return new KeptFactors(Optional.of(factor.key()), others, block, sideBySide);
    }

    private static List<String> keys(List<Variable> variables) {
        return variables.stream()
                .filter(variable -> variable instanceof Variable.Treatment)
                .map(Variable::key)
                .collect(Collectors.toList());
    }

    private static String key(Optional<Factor> factor) {
        return factor.map(Factor::key).orElse(NONE);
    }

    /** {@return the others that changed among those shots; empty where none was chosen, or none of them changed} */
    Optional<List<Variable>> others(List<ShotRecord> sheets, Factor main) {
        return others.flatMap(keys -> {
            List<Variable> changed = Proposal.factors(sheets)
                    .stream()
                    .filter(factor -> keys.contains(factor.key()) && !factor.key().equals(main.key())
                            && Proposal.changed(factor, sheets))
                    .map(Variable::of)
                    .toList();
            return changed.isEmpty() && !keys.isEmpty() ? Optional.empty() : Optional.of(changed);
        });
    }

    /** {@return the block, or none, as chosen; empty where nothing was, or it did not change} */
    Optional<Optional<Factor>> block(List<ShotRecord> sheets) {
        return chosen(block, sheets);
    }

    /** {@return what stands side by side, or none, as chosen; likewise} */
    Optional<Optional<Factor>> sideBySide(List<ShotRecord> sheets) {
        return chosen(sideBySide, sheets);
    }

    private static Optional<Optional<Factor>> chosen(Optional<String> key, List<ShotRecord> sheets) {
        if (key.filter(NONE::equals).isPresent()) {
            return Optional.of(Optional.empty());
        }
        return key.flatMap(wanted -> find(wanted, sheets))
                .filter(factor -> Proposal.changed(factor, sheets))
                .map(Optional::of);
    }

    /** {@return the factor of that key in those shots} */
    static Optional<Factor> find(String key, List<ShotRecord> sheets) {
        return Proposal.factors(sheets).stream().filter(factor -> factor.key().equals(key)).findFirst();
    }
}
