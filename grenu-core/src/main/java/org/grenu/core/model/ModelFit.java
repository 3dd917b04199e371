package org.grenu.core.model;

import java.util.Optional;

/** A fitted linear model: what its coefficients say, and how sure they are. */
public sealed interface ModelFit permits FixedFit, RandomInterceptFit {

    /** {@return the terms} */
    Design design();

    /** {@return the coefficients by column; 0 where a column is aliased with the ones before it} */
    double[] coefficients();

    /** {@return standard deviation of what is left over, of a row of weight 1} */
    double deviation();

    /** {@return degrees of freedom of that} */
    int residualDf();

    /** {@return response less prediction, by row} */
    double[] residuals();

    /** {@return share with which each row draws its own prediction, in [0, 1]} */
    double[] leverages();

    /** {@return whether the data determine that combination of coefficients} */
    boolean estimable(double[] contrast);

    /** {@return the combination's estimate; empty when the data cannot tell it, or leave no degree of freedom} */
    Optional<Estimate> estimate(double[] contrast);

    /**
     * {@return the type II test of the term: after all terms that do not contain it; empty when nothing of it can be
     * told}
     */
    Optional<FTest> typeTwo(Term term);
}
