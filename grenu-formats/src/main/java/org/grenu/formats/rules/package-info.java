/**
 * The rule packs that come with the program, as files in the form in which people edit them. Front door:
 * {@link org.grenu.formats.rules.ShippedPacks}.
 */
package org.grenu.formats.rules;
