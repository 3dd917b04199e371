package org.grenu.core.puck;

import java.util.Arrays;
import org.grenu.core.hydraulics.Water;

/**
 * What a simulated bed is made of: a value for each {@link BedParameter}, as a vector in their order, and the number
 * of
 * layers it is reckoned in. {@link #of(Puck)} gives those of a puck. Immutable.
 */
public final class BedParameters {

    private static final int LAYERS = 30;
    private static final double BASKET_GRAMS = 18;
    private static final double BULK_DENSITY = 0.45;
    private static final double GAS_CONSTANT = 8.314;
    private static final double ACTIVATION_ENERGY = 45_000;
    private static final double REFERENCE_KELVIN = 93 + 273.15;

    private final int layers;
    private final double[] values;

    private BedParameters(int layers, double[] values) {
        this.layers = layers;
        this.values = values;
    }

    /**
     * {@return a bed of those values}
     *
     * @param layers number of layers, top to bottom, positive
     * @param values one for each parameter, in their order
     * @throws IllegalArgumentException if there are more or fewer, or one is outside its range
     */
    public static BedParameters of(int layers, double... values) {
        BedParameter[] parameters = BedParameter.values();
        if (values.length != parameters.length) {
            throw new IllegalArgumentException(
                    "a bed has " + parameters.length + " parameters, not " + values.length);
        }
        for (BedParameter parameter : parameters) {
            check(parameter, values[parameter.ordinal()]);
        }
        return new BedParameters(layers, values.clone());
    }

    private static void check(BedParameter parameter, double value) {
        if (!(value >= parameter.low() && value <= parameter.high())) {
            throw new IllegalArgumentException(parameter.title() + " must lie between " + parameter.low() + " and "
                    + parameter.high() + " " + parameter.unit() + ", is " + value);
        }
    }

    /** {@return those of a puck} */
    public static BedParameters of(Puck puck) {
        Grains grains = Grains.at(puck.grind());
        double dose = puck.doseGrams();
        double area = Math.PI * 5.8 * 5.8 / 4;
        // A fuller basket leaves the swelling grains less room.
        double porosity = 0.19 * (1 - 0.30 * (dose / BASKET_GRAMS - 1));
        double solids = puck.coffee().solubleShare() * dose;
        double kelvin = puck.celsius() + 273.15;
        double arrhenius = StrictMath.exp(ACTIVATION_ENERGY / GAS_CONSTANT * (1 / REFERENCE_KELVIN - 1 / kelvin));
        double fineness = Grains.at(Grains.REFERENCE_SETTING).coarseDiameter() / grains.coarseDiameter();
        double open = grains.openShare() * solids;
        return of(LAYERS, area, dose / BULK_DENSITY / area, porosity, grains.sauterDiameter(),
                650 * puck.coffee().drag() * puck.coffee().ageDrag(puck.ageDays()),
                Water.viscosity(puck.celsius()),
                0.80 * dose, 5.0, 3.0, 0.10, collapse(grains), 1.4, 24, open, solids - open, 0.9 * arrhenius,
                0.093 * fineness * arrhenius / puck.coffee().hardness(), 0.32);
    }

    /** Many fines make a bed that gives way when it is pressed before it has settled. */
    private static double collapse(Grains grains) {
        double excess = Math.max(0, grains.finesShare() - 0.19);
        return Math.min(0.75, 420 * excess * excess);
    }

    /** {@return volume that liquid flows through in one layer, mL} */
    double poreVolume() {
        return value(BedParameter.POROSITY) * value(BedParameter.AREA) * value(BedParameter.DEPTH) / layers;
    }

    /** {@return resistance of one settled, uncompacted layer, bar·s/mL: Kozeny–Carman times the drag factor} */
    double layerResistance() {
        double porosity = value(BedParameter.POROSITY);
        double grainDiameter = value(BedParameter.GRAIN_DIAMETER);
        double permeability = porosity * porosity * porosity * grainDiameter * grainDiameter
                / (180 * (1 - porosity) * (1 - porosity)) / value(BedParameter.DRAG);
        double metres = value(BedParameter.DEPTH) / 100 / layers;
        double pascalSecondsPerCubicMetre = value(BedParameter.VISCOSITY) / 1000 * metres
                / (permeability * value(BedParameter.AREA) * 1e-4);
        return pascalSecondsPerCubicMetre * 1e-5 * 1e-6;
    }

    /** {@return the number of layers} */
    public int layers() {
        return layers;
    }

    /** {@return that parameter's value, in its unit} */
    public double value(BedParameter parameter) {
        return values[parameter.ordinal()];
    }

    /**
     * {@return these with another value}
     *
     * @throws IllegalArgumentException if it is outside the parameter's range
     */
    public BedParameters with(BedParameter parameter, double value) {
        double[] changed = values.clone();
        changed[parameter.ordinal()] = value;
        return of(layers, changed);
    }

    /** {@return the same bed in that number of layers, positive} */
    public BedParameters inLayers(int count) {
        return new BedParameters(count, values);
    }

    /** {@return all values in the parameters' order} */
    public double[] values() {
        return values.clone();
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof BedParameters bed && layers == bed.layers && Arrays.equals(values, bed.values);
    }

    @Override
    public int hashCode() {
        return 31 * layers + Arrays.hashCode(values);
    }
}
