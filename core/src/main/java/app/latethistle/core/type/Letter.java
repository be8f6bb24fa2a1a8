package app.latethistle.core.type;

import java.awt.Shape;

/**
 * A glyph of a line: a letter, several joined into one, or a mark over one.
 *
 * @param outline with the line's left end and base line as its zero, down is positive
 * @param x where it begins
 * @param advance how far on the next one begins
 * @param at the place of its first character in the line's text
 */
record Letter(Shape outline, double x, double advance, int at) {}
