package app.latethistle.core.type;

import java.util.List;

/**
 * A line of letters, from left to right.
 *
 * @param text what it says, in the letters it is set in
 * @param letters as they are seen
 * @param width from its left end to its right end, in pixels
 * @param leftwards whether it is read from the right
 * @param missing code points that no face has
 */
record ShapedLine(
    String text, List<Letter> letters, double width, boolean leftwards, List<Integer> missing) {}
