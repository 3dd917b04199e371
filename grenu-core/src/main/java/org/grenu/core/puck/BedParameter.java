package org.grenu.core.puck;

/** A number that the simulated bed is made of, with its unit and the range in which the model means anything. */
public enum BedParameter {
    AREA("Cross section", "cm²", 1, 200),
    DEPTH("Depth", "cm", 0.1, 10),
    /** Share of the volume that liquid flows through, once the grains have swollen. */
    POROSITY("Porosity", "", 0.01, 0.7),
    /** Sauter mean. */
    GRAIN_DIAMETER("Grain diameter", "m", 1e-6, 5e-3),
    /** How much more the bed holds back than the Kozeny–Carman relation says: swelling, tortuosity. */
    DRAG("Drag factor", "", 1, 1e6),
    VISCOSITY("Viscosity", "mPa·s", 0.1, 3),
    /** Water that the grains take up for good. */
    ABSORBED("Water taken up", "mL", 0, 200),
    /** Permeability of a layer just wetted, before its grains swell, relative to after. */
    UNSETTLED("Permeability before swelling", "", 1, 100),
    /** Time constant of swelling. */
    SETTLE_TIME("Swelling time", "s", 0.01, 600),
    /** Relative loss of porosity under 9 bar. */
    COMPACTION("Compaction", "", 0, 0.9),
    /** Relative loss of porosity, for good, of a layer that meets 9 bar before it has settled. */
    COLLAPSE("Collapse", "", 0, 0.9),
    /** Relative gain of permeability once the loose fines are gone. */
    EROSION("Erosion", "", 0, 50),
    /** Liquid that carries away all but 37 % of the loose fines. */
    EROSION_VOLUME("Erosion volume", "mL", 0.1, 1000),
    /** Solids that dissolve at once. */
    OPEN_SOLIDS("Open solids", "g", 0, 50),
    CORE_SOLIDS("Solids in cores", "g", 0, 50),
    /** Transfer coefficient of the open solids. */
    OPEN_RATE("Rate of open solids", "1/s", 0, 1e12),
    /** Transfer coefficient of the cores. */
    CORE_RATE("Rate of cores", "1/s", 0, 1e12),
    /** Most that the liquid can hold. */
    SATURATION("Saturation", "g/mL", 1e-3, 2);

    private final String title;
    private final String unit;
    private final double low;
    private final double high;

    BedParameter(String title, String unit, double low, double high) {
        this.title = title;
        this.unit = unit;
        this.low = low;
        this.high = high;
    }

    /** {@return its name in words} */
    public String title() {
        return title;
    }

    /** {@return its unit, empty when it has none} */
    public String unit() {
        return unit;
    }

    /** {@return its least value} */
    public double low() {
        return low;
    }

    /** {@return its greatest value} */
    public double high() {
        return high;
    }
}
