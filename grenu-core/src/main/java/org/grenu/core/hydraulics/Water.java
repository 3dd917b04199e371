package org.grenu.core.hydraulics;

/**
 * Liquid water by published correlations. Brewing water is taken as pure: its few hundred milligrams of minerals per
 * litre move density and viscosity by less than 0.1 %.
 */
public final class Water {

    private static final double KELVIN = 273.15;
    private static final double CRITICAL_KELVIN = 647.096;
    private static final double CRITICAL_KILOPASCAL = 22_064;
    private static final double[] VISCOSITY_SCALE = {280.68, 511.45, 61.131, 0.45903};
    private static final double[] VISCOSITY_POWER = {-1.9, -7.7, -19.6, -40.0};

    private Water() {
    }

    /**
     * {@return the density at 101.325 kPa, kg/m³} Kell, J. Chem. Eng. Data 20 (1975) 97–105, equation 16.
     *
     * @param celsius in [0, 150], °C
     * @throws IllegalArgumentException if the temperature is outside the correlation
     */
    public static double density(double celsius) {
        require(celsius, 0, 150);
        double t = celsius;
        return (999.83952
                + t * (16.945176 + t * (-7.9870401e-3 + t * (-46.170461e-6 + t * (105.56302e-9 - t * 280.54253e-12)))))
                / (1 + 16.879850e-3 * t);
    }

    /**
     * {@return the dynamic viscosity at 0.1 MPa, mPa·s} IAPWS, Release on the Viscosity of Ordinary Water Substance
     * (2008), correlation for 0.1 MPa; Pátek et al., J. Phys. Chem. Ref. Data 38 (2009) 21–29.
     *
     * @param celsius in [−20, 110], °C
     * @throws IllegalArgumentException if the temperature is outside the correlation
     */
    public static double viscosity(double celsius) {
        require(celsius, -20, 110);
        double reduced = (celsius + KELVIN) / 300;
        double micro = 0;
        for (int i = 0; i < VISCOSITY_SCALE.length; i++) {
            micro += VISCOSITY_SCALE[i] * StrictMath.pow(reduced, VISCOSITY_POWER[i]);
        }
        return micro / 1000;
    }

    /**
     * {@return the saturation pressure, kPa} Wagner and Pruß, J. Phys. Chem. Ref. Data 31 (2002) 387–535, equation
     * 2.5.
     *
     * @param celsius in [0.01, 373], °C
     * @throws IllegalArgumentException if the temperature is outside the equation
     */
    public static double saturationPressure(double celsius) {
        require(celsius, 0.01, 373);
        double t = celsius + KELVIN;
        double v = 1 - t / CRITICAL_KELVIN;
        double sum = -7.85951783 * v + 1.84408259 * StrictMath.pow(v, 1.5) - 11.7866497 * v * v * v
                + 22.6807411 * StrictMath.pow(v, 3.5) - 15.9618719 * StrictMath.pow(v, 4)
                + 1.80122502 * StrictMath.pow(v, 7.5);
        return CRITICAL_KILOPASCAL * StrictMath.exp(CRITICAL_KELVIN / t * sum);
    }

    /**
     * {@return the air pressure of the standard atmosphere, kPa} ISO 2533:1975, troposphere.
     *
     * @param metres altitude in [−1000, 9000], m
     * @throws IllegalArgumentException if the altitude is outside that range
     */
    public static double airPressure(double metres) {
        if (!(metres >= -1000 && metres <= 9000)) {
            throw new IllegalArgumentException("altitude must lie in [-1000, 9000] m, is " + metres);
        }
        return 101.325 * StrictMath.pow(1 - 0.0065 * metres / 288.15, 5.255880);
    }

    /** {@return the temperature at which water boils at that altitude in the standard atmosphere, °C} */
    public static double boilingPoint(double metres) {
        double air = airPressure(metres);
        double low = 20;
        double high = 120;
        while (high - low > 1e-9) {
            double middle = (low + high) / 2;
            if (saturationPressure(middle) < air) {
                low = middle;
            } else {
                high = middle;
            }
        }
        return (low + high) / 2;
    }

    private static void require(double celsius, double low, double high) {
        if (!(celsius >= low && celsius <= high)) {
            throw new IllegalArgumentException("temperature must lie in [" + low + ", " + high + "] °C, is " + celsius);
        }
    }
}
