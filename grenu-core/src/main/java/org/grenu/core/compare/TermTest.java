package org.grenu.core.compare;

import java.util.Optional;
import org.grenu.core.model.FTest;

/**
 * The type II test of one term of the model.
 *
 * @param term its name
 * @param test empty when the data cannot tell it
 */
public record TermTest(String term, Optional<FTest> test) {
}
