package org.grenu.core.compare;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.grenu.core.model.Design;
import org.grenu.core.model.FixedFit;
import org.grenu.core.model.KnownErrors;
import org.grenu.core.model.Term;
import org.grenu.core.response.Variable;

/** Which other terms moved together with a variable, so that the data cannot tell them apart. */
final class Confounding {

    private Confounding() {
    }

    /** {@return their names, joined; "the others together" when leaving out one is not enough} */
    static String with(ResponseModel model, Variable variable) {
        Term own = model.terms().get(variable);
        Map<String, Term> others = others(own, model);
        List<String> names = new ArrayList<>();
        others.forEach((name, other) -> {
            List<Term> left = without(other, model);
            if (left.contains(own) && estimable(new Design(model.shots().size(), left), own, model)) {
                names.add(Wording.small(name));
            }
        });
        return names.isEmpty() ? "the others together" : String.join(" or ", names);
    }

    private static Map<String, Term> others(Term own, ResponseModel model) {
        return model.fit()
                .design()
                .terms()
                .stream()
                .filter(term -> !term.equals(own) && !(term instanceof Term.Product))
                .collect(Collectors.toMap(Term::name, term -> term, (a, b) -> a, LinkedHashMap::new));
    }

    private static List<Term> without(Term other, ResponseModel model) {
        return model.fit()
                .design()
                .terms()
                .stream()
                .filter(term -> !term.equals(other) && !term.contains(other))
                .toList();
    }

    private static boolean estimable(Design design, Term own, ResponseModel model) {
        FixedFit fit = FixedFit.of(design, model.y(), KnownErrors.ones(model.shots().size()));
        if (own instanceof Term.Numeric numeric) {
            return fit.estimable(design.slope(numeric));
        }
        Term.Levels levels = (Term.Levels) own;
        for (int i = 1; i < levels.levels().size(); i++) {
            if (!fit.estimable(Design.difference(design.mean(levels, i), design.mean(levels, 0)))) {
                return false;
            }
        }
        return true;
    }
}
