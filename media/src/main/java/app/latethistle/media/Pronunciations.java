package app.latethistle.media;

import java.io.BufferedReader;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/**
 * How words are spoken, in the phones of the CMU pronouncing dictionary. What is not in it,
 * invented names and numbers above all, is spoken by espeak-ng and written over from its IPA.
 */
final class Pronunciations {
  private static final int LIMIT_SECONDS = 20;

  /** Phones by what espeak-ng writes for American English, the longest first. */
  private static final Map<String, String> PHONES = new LinkedHashMap<>();

  static {
    String[] table = {
      "aɪɚ AY ER",
      "aɪə AY AH",
      "ɔːɹ AO R",
      "oːɹ AO R",
      "ɑːɹ AA R",
      "aɪ AY",
      "aʊ AW",
      "ɔɪ OY",
      "eɪ EY",
      "oʊ OW",
      "əʊ OW",
      "ɛɹ EH R",
      "ɪɹ IH R",
      "ʊɹ UH R",
      "tʃ CH",
      "dʒ JH",
      "iː IY",
      "uː UW",
      "ɑː AA",
      "ɔː AO",
      "oː AO",
      "ɜː ER",
      "n̩ AH N",
      "l̩ AH L",
      "ɚ ER",
      "ɝ ER",
      "ɐ AH",
      "ə AH",
      "ʌ AH",
      "æ AE",
      "ɛ EH",
      "e EH",
      "ɪ IH",
      "ᵻ IH",
      "i IY",
      "ʊ UH",
      "u UW",
      "ɒ AA",
      "ɔ AO",
      "ɑ AA",
      "o OW",
      "a AA",
      "p P",
      "b B",
      "t T",
      "d D",
      "k K",
      "ɡ G",
      "g G",
      "f F",
      "v V",
      "θ TH",
      "ð DH",
      "s S",
      "z Z",
      "ʃ SH",
      "ʒ ZH",
      "h HH",
      "m M",
      "n N",
      "ŋ NG",
      "l L",
      "ɹ R",
      "r R",
      "j Y",
      "w W",
      "ɾ T",
      "ʔ T",
      "x K"
    };
    for (String row : table) {
      int gap = row.indexOf(' ');
      PHONES.put(row.substring(0, gap), row.substring(gap + 1));
    }
  }

  private Pronunciations() {}

  /**
   * The ways each word is spoken, as phones parted by spaces; none if nothing of it is.
   *
   * @param words as they are written; parts joined by hyphens are spoken one after the other
   * @param dictionary a line a way: the word in small letters, a number in brackets from its second
   *     way on, its phones
   */
  static List<List<String>> of(List<String> words, Path dictionary) throws IOException {
    List<String> plain =
        words.stream().map(w -> w.toLowerCase(Locale.ROOT).replace('’', '\'')).toList();
    Map<String, List<String>> known = new HashMap<>();
    for (String word : plain) {
      for (String part : parts(word)) {
        known.put(part, new ArrayList<>());
      }
    }
    try (BufferedReader lines = Files.newBufferedReader(dictionary)) {
      String line = lines.readLine();
      while (line != null) {
        int gap = line.indexOf(' ');
        int way = line.indexOf('(');
        List<String> ways = known.get(line.substring(0, way > 0 && way < gap ? way : gap));
        if (ways != null) {
          ways.add(line.substring(gap + 1).strip());
        }
        line = lines.readLine();
      }
    }
    List<List<String>> spoken = new ArrayList<>();
    for (String word : plain) {
      List<String> ways = joined(parts(word), known);
      if (ways.isEmpty()) {
        String phones = written(spoken(word));
        ways = phones.isEmpty() ? List.of() : List.of(phones);
      }
      spoken.add(ways);
    }
    return spoken;
  }

  private static List<String> parts(String word) {
    return Arrays.stream(word.split("[-–]")).filter(p -> !p.isEmpty()).toList();
  }

  /** Every way of one part after every way of the others; none if a part is not known. */
  private static List<String> joined(List<String> parts, Map<String, List<String>> known) {
    List<String> ways = List.of("");
    for (String part : parts) {
      List<String> longer = new ArrayList<>();
      for (String way : ways) {
        known.get(part).forEach(k -> longer.add((way + " " + k).strip()));
      }
      ways = longer;
    }
    return parts.isEmpty() ? List.of() : ways;
  }

  private static String spoken(String word) throws IOException {
    List<String> command = List.of("espeak-ng", "-q", "--ipa", "-v", "en-us", "--stdin");
    byte[] ipa = Child.output(command, word.getBytes(StandardCharsets.UTF_8), LIMIT_SECONDS);
    return new String(ipa, StandardCharsets.UTF_8);
  }

  /**
   * IPA written over in the dictionary's phones; stress and lengths that are no phone are dropped.
   */
  static String written(String ipa) {
    List<String> phones = new ArrayList<>();
    String rest = ipa.replaceAll("[ˈˌ\\s]", "");
    while (!rest.isEmpty()) {
      String found = null;
      for (String sign : PHONES.keySet()) {
        if (rest.startsWith(sign)) {
          found = sign;
          break;
        }
      }
      if (found != null) {
        phones.add(PHONES.get(found));
      }
      rest = rest.substring(found == null ? 1 : found.length());
    }
    return String.join(" ", phones);
  }
}
