/**
 * Reading any log by a mapping: which column or array is which channel, in which unit, and where one shot ends and
 * the
 * next begins. Mappings are guessed with a reason for each guess, corrected by people, kept and shared as JSON. Front
 * doors: {@link org.grenu.formats.mapping.MappingGuess} and {@link org.grenu.formats.mapping.MappedReader}.
 */
package org.grenu.formats.mapping;
