package app.latethistle.core.type;

import app.latethistle.core.words.Order;
import app.latethistle.core.words.Unit;
import app.latethistle.core.words.WordBreaks;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;

/**
 * What of set words comes or goes as one: for each letter the unit it belongs to, and for each unit
 * its turn.
 *
 * @param of the unit of each letter, line by line as they are seen
 * @param turns the turn of each unit, from 0
 */
record Units(List<Integer> of, List<Integer> turns) {

  static Units of(SetText text, Unit unit, Order order, int seed) {
    List<Integer> of = new ArrayList<>();
    int count = 0;
    for (SetLine line : text.lines()) {
      int base = count;
      String said = line.shaped().text();
      for (Letter letter : line.shaped().letters()) {
        int own =
            switch (unit) {
              case WHOLE -> 0;
              case LINE -> base;
              case WORD -> base + wordAt(said, letter.at());
              case LETTER -> base + lettersBefore(said, letter.at());
            };
        of.add(own);
        count = Math.max(count, own + 1);
      }
    }
    return new Units(of, turns(Math.max(1, count), order, seed));
  }

  /** The word of a text that a character is of, from 0. */
  static int wordAt(String text, int at) {
    int word = 0;
    for (int i = 1; i <= at; i++) {
      word += isBetween(text.charAt(i - 1)) && !isBetween(text.charAt(i)) ? 1 : 0;
    }
    return word;
  }

  /** How many words a text has, one at least. */
  static int words(String text) {
    return 1 + wordAt(text, text.length() - 1);
  }

  private static boolean isBetween(char c) {
    return Character.isWhitespace(c) || c == WordBreaks.NO_SPACE;
  }

  private static int lettersBefore(String text, int at) {
    int letters = 0;
    for (int i = 0; i < at; i++) {
      letters += isBetween(text.charAt(i)) ? 0 : 1;
    }
    return letters;
  }

  private static List<Integer> turns(int count, Order order, int seed) {
    List<Integer> sequence = new ArrayList<>();
    for (int i = 0; i < count; i++) {
      sequence.add(i);
    }
    switch (order) {
      case TOGETHER, FORWARD, ON_BEATS, ON_WORDS -> {}
      case BACKWARD -> Collections.reverse(sequence);
      case FROM_MIDDLE -> sequence.sort((a, b) -> Double.compare(away(a, count), away(b, count)));
      case RANDOM -> Collections.shuffle(sequence, new Random(seed));
    }
    List<Integer> turns = new ArrayList<>(Collections.nCopies(count, 0));
    for (int turn = 0; turn < count; turn++) {
      turns.set(sequence.get(turn), turn);
    }
    return turns;
  }

  private static double away(int unit, int count) {
    return Math.abs(unit - (count - 1) / 2.0);
  }

  int count() {
    return turns.size();
  }
}
