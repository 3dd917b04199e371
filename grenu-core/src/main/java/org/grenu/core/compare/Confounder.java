package org.grenu.core.compare;

import org.grenu.core.response.Variable;

/**
 * Something that moved along with what is asked about, so that these shots cannot tell which of the two did it.
 *
 * @param what  it
 * @param asked what it moved along with
 */
public record Confounder(Variable what, Variable asked) {
}
