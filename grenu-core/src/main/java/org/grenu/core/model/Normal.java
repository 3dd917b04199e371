package org.grenu.core.model;

/**
 * The standard normal distribution, by rational Chebyshev approximations of the error function: W. J. Cody, Math. Comp.
 * 23 (1969) 631–637, accurate to 1e-15 about the middle and to 1e-12 of itself far out in the tail. Stands for the
 * library's continued fraction, which the integrals of the studentized range and of noncentral t would spend most of
 * their time in; a test holds the two equal.
 */
final class Normal {

    private static final double[] A = {3.16112374387056560e00, 1.13864154151050156e02, 3.77485237685302021e02,
            3.20937758913846947e03, 1.85777706184603153e-1};
    private static final double[] B = {2.36012909523441209e01, 2.44024637934444173e02, 1.28261652607737228e03,
            2.84423683343917062e03};
    private static final double[] C = {5.64188496988670089e-1, 8.88314979438837594e00, 6.61191906371416295e01,
            2.98635138197400131e02, 8.81952221241769090e02, 1.71204761263407058e03, 2.05107837782607147e03,
            1.23033935479799725e03, 2.15311535474403846e-8};
    private static final double[] D = {1.57449261107098347e01, 1.17693950891312499e02, 5.37181101862009858e02,
            1.62138957456669019e03, 3.29079923573345963e03, 4.36261909014324716e03, 3.43936767414372164e03,
            1.23033935480374942e03};
    private static final double[] P = {3.05326634961232344e-1, 3.60344899949804439e-1, 1.25781726111229246e-1,
            1.60837851487422766e-2, 6.58749161529837803e-4, 1.63153871373020978e-2};
    private static final double[] Q = {2.56852019228982242e00, 1.87295284992346725e00, 5.27905102951428412e-1,
            6.05183413124413191e-2, 2.33520497626869185e-3};
    private static final double NEAR = 0.46875;
    private static final double FAR = 4;
    private static final double ONE_BY_ROOT_PI = 0.56418958354775628695;

    private Normal() {
    }

    /** {@return Φ(z)} */
    static double cumulative(double z) {
        double x = z / Math.sqrt(2);
        double y = Math.abs(x);
        if (y <= NEAR) {
            return 0.5 + 0.5 * x * ratio(A, B, y * y);
        }
        double tail = 0.5 * Math.exp(-y * y) * (y <= FAR ? ratio(C, D, y) : asymptotic(y));
        return x < 0 ? tail : 1 - tail;
    }

    /** The last of the numerator's coefficients is its highest. */
    private static double ratio(double[] numerator, double[] denominator, double at) {
        double above = numerator[numerator.length - 1] * at;
        double below = at;
        for (int i = 0; i < denominator.length - 1; i++) {
            above = (above + numerator[i]) * at;
            below = (below + denominator[i]) * at;
        }
        int last = denominator.length - 1;
        return (above + numerator[last]) / (below + denominator[last]);
    }

    private static double asymptotic(double y) {
        double inverse = 1 / (y * y);
        return (ONE_BY_ROOT_PI - inverse * ratio(P, Q, inverse)) / y;
    }
}
