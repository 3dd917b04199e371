package org.grenu.app;

/** The program as it names itself. */
public final class Product {

    /** As reports name it. */
    public static final String VERSION = "0.1.0";

    private Product() {
    }
}
