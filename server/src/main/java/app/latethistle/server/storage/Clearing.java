package app.latethistle.server.storage;

import app.latethistle.media.ContentStore;
import app.latethistle.server.config.Reason;
import app.latethistle.server.config.ServerOnly;
import app.latethistle.server.master.Masters;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/** Finds and clears what no production uses any more. */
@ServerOnly
@Component
class Clearing {
  private static final Logger LOG = LoggerFactory.getLogger(Clearing.class);

  /** After so long it goes by itself. */
  static final Duration PATIENCE = Duration.ofDays(7);

  /** What is made of files counts as unused when nothing has read it for so long. */
  private static final Duration RECENT = Duration.ofDays(1);

  /** The first letters of a hash are the name of a light copy. */
  private static final int HASH = 64;

  private final ContentStore store;
  private final UnusedMedia media;
  private final Masters masters;
  private final TransactionTemplate transaction;

  Clearing(
      ContentStore store, UnusedMedia media, Masters masters, TransactionTemplate transaction) {
    this.store = store;
    this.media = media;
    this.masters = masters;
    this.transaction = transaction;
  }

  /** What can go: files that were brought in, by hash, and files that were made. */
  record Found(List<UnusedMedia.Unused> media, List<Path> made, long bytes) {}

  /** What a person could clear at once. */
  Found now() throws IOException {
    media.note();
    return find(Duration.ZERO, RECENT);
  }

  /** Clears it. */
  void clearNow() throws IOException {
    clear(now());
  }

  @Scheduled(initialDelay = 2, fixedDelay = 360, timeUnit = TimeUnit.MINUTES)
  void clearOld() {
    try {
      media.note();
      clear(find(PATIENCE, PATIENCE));
    } catch (IOException e) {
      LOG.warn("What is not used could not be cleared: {}", Reason.of(e));
    }
  }

  private Found find(Duration unused, Duration unread) throws IOException {
    List<UnusedMedia.Unused> brought = media.since(unused);
    List<String> going = brought.stream().map(UnusedMedia.Unused::hash).toList();
    List<Path> made = new ArrayList<>();
    long bytes = brought.stream().mapToLong(UnusedMedia.Unused::bytes).sum();
    Instant before = Instant.now().minus(unread);
    for (Path file : store.madeFiles()) {
      if (isUnused(file, going, before)) {
        made.add(file);
        bytes += Files.size(file);
      }
    }
    return new Found(brought, made, bytes);
  }

  private boolean isUnused(Path file, List<String> going, Instant before) throws IOException {
    String name = file.getFileName().toString();
    Instant changed = Files.getLastModifiedTime(file).toInstant();
    if (name.endsWith(".part")) {
      return changed.isBefore(Instant.now().minus(RECENT));
    }
    return switch (file.getParent().getFileName().toString()) {
      case "proxies" -> {
        String hash = name.substring(0, Math.min(HASH, name.length()));
        yield going.contains(hash) || !media.isKnown(hash);
      }
      case "masters" -> !masters.existsById(number(name));
      default -> changed.isBefore(before);
    };
  }

  /** The number that a master's files begin with, or 0. */
  private static long number(String name) {
    String digits = name.replaceFirst("\\D.*", "");
    return digits.isEmpty() ? 0 : Long.parseLong(digits);
  }

  private void clear(Found found) throws IOException {
    for (UnusedMedia.Unused unused : found.media()) {
      Boolean gone = transaction.execute(status -> media.remove(unused.hash()));
      if (Boolean.TRUE.equals(gone)) {
        store.remove(unused.hash());
      }
    }
    for (Path file : found.made()) {
      Files.deleteIfExists(file);
    }
    if (found.bytes() > 0) {
      LOG.info("Cleared {} MB that no production used.", found.bytes() / 1_000_000);
    }
  }
}
