package app.latethistle.server.voice;

import app.latethistle.server.film.Voice;
import app.latethistle.server.history.Undoable;
import app.latethistle.server.production.Production;
import app.latethistle.server.production.Productions;
import app.latethistle.server.stored.Deed;
import app.latethistle.server.stored.StoredEdit;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** How what is done with readings is taken back where it is no edit of a film. */
@Configuration
class VoiceSteps {
  private final Productions productions;
  private final Voice voice;
  private final Readings readings;

  VoiceSteps(Productions productions, Voice voice, Readings readings) {
    this.productions = productions;
    this.voice = voice;
    this.readings = readings;
  }

  @Bean
  Undoable<Deed.LineSettled> lineSettled() {
    return new Undoable<>(
        Deed.LineSettled.class,
        (production, deed) -> settle(production, deed.line(), deed.before()),
        (production, deed) -> settle(production, deed.line(), deed.after()));
  }

  private void settle(long productionId, long line, StoredEdit.Line settled) {
    Production production = productions.getLocked(productionId);
    voice.settle(Long.toString(line), settled.get());
    production.filmChanged(production.done());
  }

  @Bean
  Undoable<Deed.ReadingKept> readingKept() {
    return new Undoable<>(
        Deed.ReadingKept.class,
        (production, deed) -> remove(deed.reading(), true),
        (production, deed) -> remove(deed.reading(), false));
  }

  @Bean
  Undoable<Deed.ReadingRemoved> readingRemoved() {
    return new Undoable<>(
        Deed.ReadingRemoved.class,
        (production, deed) -> remove(deed.reading(), false),
        (production, deed) -> remove(deed.reading(), true));
  }

  private void remove(long reading, boolean out) {
    readings.findById(reading).ifPresent(r -> r.remove(out));
  }
}
