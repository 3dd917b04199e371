package org.grenu.core.puck;

import org.grenu.core.hydraulics.Water;

/**
 * The constants of a simulated bed. {@link #of} gives those of a recipe; tests switch single effects off.
 *
 * @param layers        number of layers, top to bottom
 * @param area          cross section, cm²
 * @param depth         cm
 * @param porosity      share of the volume that liquid flows through, once the grains have swollen
 * @param grainDiameter Sauter mean diameter, m
 * @param dragFactor    how much more the bed holds back than the Kozeny–Carman relation says: swelling, tortuosity
 * @param viscosity     mPa·s
 * @param absorbed      water that the grains take up for good, mL
 * @param unsettled     permeability of a layer just wetted, before its grains swell, relative to after
 * @param settleSeconds time constant of swelling, s
 * @param compaction    relative loss of porosity under 9 bar
 * @param collapse      relative loss of porosity, for good, of a layer that meets 9 bar before it has settled
 * @param erosion       relative gain of permeability once the loose fines are gone
 * @param erosionVolume liquid that carries away all but 37 % of the loose fines, mL
 * @param openSolids    solids that dissolve at once, g
 * @param coreSolids    solids in the cores, g
 * @param openRate      transfer coefficient of the open solids, 1/s
 * @param coreRate      transfer coefficient of the cores, 1/s
 * @param saturation    most that the liquid can hold, g/mL
 */
record BedSettings(int layers, double area, double depth, double porosity, double grainDiameter, double dragFactor,
        double viscosity,
        double absorbed, double unsettled, double settleSeconds, double compaction, double collapse, double erosion,
        double erosionVolume, double openSolids, double coreSolids, double openRate, double coreRate,
        double saturation) {

    private static final double BASKET_GRAMS = 18;
    private static final double BULK_DENSITY = 0.45;
    private static final double GAS_CONSTANT = 8.314;
    private static final double ACTIVATION_ENERGY = 45_000;
    private static final double REFERENCE_KELVIN = 93 + 273.15;

    static BedSettings of(PuckRecipe recipe) {
        Grains grains = Grains.at(recipe.grind());
        double dose = recipe.doseGrams();
        double area = Math.PI * 5.8 * 5.8 / 4;
        // A fuller basket leaves the swelling grains less room.
        double porosity = 0.19 * (1 - 0.30 * (dose / BASKET_GRAMS - 1));
        double solids = recipe.coffee().solubleShare() * dose;
        double kelvin = recipe.celsius() + 273.15;
        double arrhenius = StrictMath.exp(ACTIVATION_ENERGY / GAS_CONSTANT * (1 / REFERENCE_KELVIN - 1 / kelvin));
        double fineness = Grains.at(Grains.REFERENCE_SETTING).coarseDiameter() / grains.coarseDiameter();
        double open = grains.openShare() * solids;
        return new BedSettings(30, area, dose / BULK_DENSITY / area, porosity, grains.sauterDiameter(),
                650 * recipe.coffee().drag() * recipe.coffee().ageDrag(recipe.ageDays()),
                Water.viscosity(recipe.celsius()),
                0.80 * dose, 5.0, 3.0, 0.10, collapse(grains), 1.4, 24, open, solids - open, 0.9 * arrhenius,
                0.093 * fineness * arrhenius / recipe.coffee().hardness(), 0.32);
    }

    /** Many fines make a bed that gives way when it is pressed before it has settled. */
    private static double collapse(Grains grains) {
        double excess = Math.max(0, grains.finesShare() - 0.19);
        return Math.min(0.75, 420 * excess * excess);
    }

    /** {@return volume that liquid flows through in one layer, mL} */
    double poreVolume() {
        return porosity * area * depth / layers;
    }

    /** {@return resistance of one settled, uncompacted layer, bar·s/mL: Kozeny–Carman times the drag factor} */
    double layerResistance() {
        double permeability = porosity * porosity * porosity * grainDiameter * grainDiameter
                / (180 * (1 - porosity) * (1 - porosity)) / dragFactor;
        double metres = depth / 100 / layers;
        double pascalSecondsPerCubicMetre = viscosity / 1000 * metres / (permeability * area * 1e-4);
        return pascalSecondsPerCubicMetre * 1e-5 * 1e-6;
    }
}
