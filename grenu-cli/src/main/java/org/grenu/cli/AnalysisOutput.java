package org.grenu.cli;

/** Where analysed shots go: made ready for printing on any thread, printed in their order. */
interface AnalysisOutput {

    /** {@return what prints that shot; all the work is done} */
    Runnable ready(AnalysedShot shot);

    /** Prints what comes after the last. */
    void finish();
}
