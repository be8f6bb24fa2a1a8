package app.latethistle.core.film;

import app.latethistle.core.Refused;

/** What binds a joint to a moment. */
public sealed interface Tie {

  /**
   * On a beat of the song, or a few frames from it by hand.
   *
   * @param beat the beat's number in the beat grid
   * @param offset frames after the beat's nearest frame; negative is before
   */
  record OnBeat(int beat, int offset) implements Tie {
    /**
     * @throws IllegalArgumentException if the beat's number is negative
     */
    public OnBeat {
      if (beat < 0) {
        throw new Refused("A song's beats are numbered from 0; there is no beat " + beat + ".");
      }
    }
  }

  /**
   * On a word of the narration, or a few frames from it by hand.
   *
   * @param line the line's id in the narration
   * @param word the word's place in the line, from 0
   * @param edge which end of the word
   * @param offset frames after the edge's nearest frame; negative is before
   */
  record OnWord(String line, int word, Edge edge, int offset) implements Tie {
    /**
     * @throws IllegalArgumentException if the word's number is negative
     */
    public OnWord {
      if (word < 0) {
        throw new Refused("A line's words are numbered from 0; there is no word " + word + ".");
      }
    }
  }

  /** An end of a word. */
  enum Edge {
    START,
    END
  }

  /**
   * Free: at a frame of the film, whatever the song does.
   *
   * @param frame counted from the film's start
   */
  record Free(long frame) implements Tie {}

  /**
   * On something else of the film, as only sounds and titles can be: they land where it does.
   *
   * @param kind what it is
   * @param id its name; of a cut, the name of the shot it begins, {@link Film#END} for the end
   */
  record OnItem(Kind kind, String id) implements Tie {
    /** What a sound or a title can land on. */
    public enum Kind {
      CUT,
      MARKER,
      /** Where a sound lands. */
      SOUND,
      /** Where a title lands. */
      TITLE
    }
  }

  /** On a cut. */
  static Tie onCut(String joint) {
    return new OnItem(OnItem.Kind.CUT, joint);
  }

  /**
   * A tie of what is neither sound nor title.
   *
   * @throws IllegalArgumentException if it is to something of the film
   */
  static Tie ofClock(Tie tie) {
    if (tie instanceof OnItem) {
      throw new Refused("Only sounds and titles are tied to a cut, a marker, a sound or a title.");
    }
    return tie;
  }

  /** Exactly on a beat. */
  static Tie onBeat(int beat) {
    return new OnBeat(beat, 0);
  }

  /** At a frame of the film. */
  static Tie free(long frame) {
    return new Free(frame);
  }
}
