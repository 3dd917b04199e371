package org.grenu.core.study;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Function;
import org.grenu.core.entry.FieldKind;
import org.grenu.core.quantity.DecimalText;

/** The factors that every record has a place for. */
public enum SheetFactor implements Factor {
    GRIND("Grind", SheetField.GRIND),
    TEMPERATURE("Temperature", SheetField.TEMPERATURE),
    PROFILE("Profile", SheetField.PROFILE),
    DOSE("Dose", SheetField.DOSE),
    COFFEE("Coffee", SheetField.COFFEE),
    AGE("Days off roast", true, "d", sheet -> sheet.ageDays().stream().mapToObj(DecimalText::exact).findFirst()),
    BASKET("Basket", SheetField.BASKET),
    WATER("Water", SheetField.WATER),
    GRINDER("Grinder", SheetField.GRINDER),
    MACHINE("Machine", SheetField.MACHINE),
    MACHINE_VERSION("Machine parts", SheetField.MACHINE_VERSION),
    OPERATOR("Operator", SheetField.OPERATOR),
    REFRACTOMETER("Refractometer", SheetField.REFRACTOMETER),
    SAMPLE_FILTERED("Sample filtered", SheetField.SAMPLE_FILTERED),
    ARM("Arm", SheetField.ARM),
    BLOCK("Block", SheetField.BLOCK),
    DAY("Day", false, "", sheet -> sheet.pulledAt().map(moment -> moment.toLocalDate().toString()));

    private final String title;
    private final boolean numeric;
    private final String unit;
    private final Function<ShotSheet, Optional<String>> level;

    SheetFactor(String title, SheetField field) {
        this(title, field.kind() == FieldKind.NUMBER, field.unit(), sheet -> sheet.entry(field));
    }

    SheetFactor(String title, boolean numeric, String unit, Function<ShotSheet, Optional<String>> level) {
        this.title = title;
        this.numeric = numeric;
        this.unit = unit;
        this.level = level;
    }

    /** {@return the factor with that name in files and commands} */
    public static Optional<Factor> find(String key) {
        return Arrays.stream(values()).filter(factor -> factor.key().equals(key)).map(Factor.class::cast).findFirst();
    }

    @Override
    public String key() {
        return name().toLowerCase(Locale.ROOT);
    }

    @Override
    public String title() {
        return title;
    }

    @Override
    public String unit() {
        return unit;
    }

    @Override
    public boolean numeric() {
        return numeric;
    }

    @Override
    public OptionalDouble number(ShotSheet sheet) {
        return numeric ? level(sheet).map(Double::parseDouble).map(OptionalDouble::of).orElse(OptionalDouble.empty()) : OptionalDouble.empty();
    }

    @Override
    public Optional<String> level(ShotSheet sheet) {
        return level.apply(sheet);
    }
}
