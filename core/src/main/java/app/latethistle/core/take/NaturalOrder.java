package app.latethistle.core.take;

import java.util.Comparator;
import java.util.Locale;

/**
 * Orders names as people read them: runs of digits by their value, so "2" comes before "10"; the
 * rest letter by letter without regard to case. Names that differ only in case or leading zeros are
 * ordered by their characters, so that the order is total.
 */
public final class NaturalOrder implements Comparator<String> {
  /** The one instance. */
  public static final NaturalOrder INSTANCE = new NaturalOrder();

  private NaturalOrder() {}

  @Override
  public int compare(String a, String b) {
    String x = a.toLowerCase(Locale.ROOT);
    String y = b.toLowerCase(Locale.ROOT);
    int i = 0;
    int j = 0;
    while (i < x.length() && j < y.length()) {
      if (isDigit(x.charAt(i)) && isDigit(y.charAt(j))) {
        int iEnd = endOfDigits(x, i);
        int jEnd = endOfDigits(y, j);
        int order = compareNumbers(x.substring(i, iEnd), y.substring(j, jEnd));
        if (order != 0) {
          return order;
        }
        i = iEnd;
        j = jEnd;
      } else {
        int order = Character.compare(x.charAt(i), y.charAt(j));
        if (order != 0) {
          return order;
        }
        i++;
        j++;
      }
    }
    int order = Integer.compare(x.length() - i, y.length() - j);
    return order != 0 ? order : a.compareTo(b);
  }

  private static int compareNumbers(String a, String b) {
    String x = unpadded(a);
    String y = unpadded(b);
    int order = Integer.compare(x.length(), y.length());
    return order != 0 ? order : x.compareTo(y);
  }

  /** A number without zeros before it; "0" stays. */
  static String unpadded(String digits) {
    return digits.replaceFirst("^0+(?=.)", "");
  }

  private static int endOfDigits(String text, int from) {
    int i = from;
    while (i < text.length() && isDigit(text.charAt(i))) {
      i++;
    }
    return i;
  }

  private static boolean isDigit(char c) {
    return c >= '0' && c <= '9';
  }
}
