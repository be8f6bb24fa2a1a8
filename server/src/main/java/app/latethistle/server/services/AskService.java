package app.latethistle.server.services;

import app.latethistle.core.story.ServiceProfile;
import app.latethistle.core.take.PictureShape;
import app.latethistle.media.ContentStore;
import app.latethistle.media.MediaFacts;
import app.latethistle.media.StillPicture;
import app.latethistle.server.jobs.Job;
import app.latethistle.server.jobs.Lane;
import app.latethistle.server.material.BringIn;
import app.latethistle.server.material.TakeEntry;
import app.latethistle.server.material.Takes;
import app.latethistle.server.production.Productions;
import app.latethistle.standins.services.Order;
import app.latethistle.standins.services.PictureService;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.transaction.support.TransactionTemplate;

/** The job in which a stand-in works on a request: it waits its turn, then makes the files. */
@Configuration(proxyBeanMethods = false)
class AskService {
  @Bean("ask-service")
  Job askServiceTask(
      Requests requests,
      ServiceDesk desk,
      Takes takes,
      Productions productions,
      ObjectProvider<BringIn> bringIn,
      ContentStore store,
      TransactionTemplate transaction) {
    return Job.of(
        Lane.DESK,
        "ask-service",
        id -> requests.findById(id).map(Request::productionId),
        id -> {
          Request request = requests.findById(id).orElse(null);
          boolean open =
              request != null
                  && (request.state() == Request.State.QUEUED
                      || request.state() == Request.State.RUNNING);
          return open
              ? new Worker(requests, desk, takes, productions, bringIn.getObject(), store)
                  .work(request, transaction)
              : Optional.empty();
        },
        (id, why) -> fail(requests, transaction, id, "The service broke: " + why));
  }

  private static void fail(
      Requests requests, TransactionTemplate transaction, long id, String why) {
    transaction.executeWithoutResult(
        status ->
            requests
                .lock(id)
                .filter(
                    r -> r.state() == Request.State.RUNNING || r.state() == Request.State.QUEUED)
                .ifPresent(r -> r.end(Request.State.FAILED, why)));
  }

  /** One request's way through a service. */
  private record Worker(
      Requests requests,
      ServiceDesk desk,
      Takes takes,
      Productions productions,
      BringIn bringIn,
      ContentStore store) {

    /**
     * Takes a request up, or ends it when its service would have done it; between the two no thread
     * waits.
     *
     * @return when to go on
     */
    Optional<Instant> work(Request read, TransactionTemplate transaction) throws IOException {
      ServiceRow row = desk.row(read.service());
      ServiceProfile profile = row.profile();
      Request request =
          read.state() == Request.State.RUNNING
              ? read
              : transaction.execute(status -> begin(row, read.id()));
      if (request == null) {
        return Optional.empty();
      }
      double wait = request.willFail() ? profile.waitSeconds() / 2 : profile.waitSeconds();
      Instant until = request.startedAt().plusMillis(Math.round(wait * 1000));
      if (Instant.now().isBefore(until)) {
        return Optional.of(until);
      }
      if (request.willFail()) {
        fail(
            requests,
            transaction,
            request.id(),
            profile.name()
                + " gave up half-way. Nothing was charged; ask again, or ask another service.");
        return Optional.empty();
      }
      Path folder = Files.createTempDirectory("stand-in");
      try {
        List<Path> files = PictureService.fulfil(order(request, profile), folder);
        if (!isRunning(request.id())) {
          return Optional.empty();
        }
        deliver(request, files);
        transaction.executeWithoutResult(
            status ->
                requests
                    .lock(request.id())
                    .filter(r -> r.state() == Request.State.RUNNING)
                    .ifPresent(r -> r.end(Request.State.DONE, null)));
      } finally {
        remove(folder);
      }
      return Optional.empty();
    }

    private boolean isRunning(long id) {
      return requests.findById(id).map(Request::state).orElse(null) == Request.State.RUNNING;
    }

    /** Takes the request up, unless it was cancelled since it was read; null then. */
    private Request begin(ServiceRow row, long id) {
      int every = desk.lock(row).failsEvery();
      Request request = requests.lock(id).orElse(null);
      if (request == null || request.state() != Request.State.QUEUED) {
        return null;
      }
      request.start();
      requests.flush();
      request.decide(every > 0 && requests.worked(request.service()) % every == 0);
      return request;
    }

    private Order order(Request request, ServiceProfile profile) throws IOException {
      PictureShape film = productions.get(request.productionId()).shape();
      Optional<TakeEntry> source =
          Optional.ofNullable(request.sourceTake()).flatMap(takes::findById);
      boolean larger = request.kind() == Request.Kind.ENLARGE;
      double first = source.map(t -> t.medium().facts().seconds()).orElse(0.0);
      TakeEntry start =
          start(request, source)
              .filter(t -> t.medium().facts().kind() == MediaFacts.Kind.STILL)
              .orElse(null);
      Optional<BufferedImage> picture =
          start == null
              ? Optional.empty()
              : Optional.of(
                  StillPicture.read(store.path(start.medium().hash()), start.medium().facts()));
      return new Order(
          profile,
          request.prompt(),
          request.seed(),
          shape(profile, film, source),
          request.seconds(),
          request.move(),
          2,
          picture,
          request.pictures(),
          larger ? times(source.orElseThrow(), profile) : 1,
          request.kind() == Request.Kind.EXTEND ? first : 0);
    }

    /** The take whose picture is painted from: for a clip made longer or larger, its own start. */
    private Optional<TakeEntry> start(Request request, Optional<TakeEntry> source) {
      boolean clip =
          source.map(t -> t.medium().facts().kind() == MediaFacts.Kind.CLIP).orElse(false);
      if (!clip) {
        return source;
      }
      return requests.findByProductionIdOrderById(request.productionId()).stream()
          .filter(r -> r.kind() == Request.Kind.MAKE && r.sourceTake() != null)
          .filter(r -> r.service().equals(request.service()) && r.seed() == request.seed())
          .findFirst()
          .flatMap(r -> takes.findById(r.sourceTake()));
    }

    private static int times(TakeEntry take, ServiceProfile profile) {
      PictureShape shape = take.medium().facts().shape().orElseThrow();
      int shorter = Math.min(shape.width(), shape.height());
      return (int) Math.round(2.0 * shorter / profile.height());
    }

    /** The film's shape if the service makes it, else the service's first. */
    private static String shape(
        ServiceProfile profile, PictureShape film, Optional<TakeEntry> source) {
      PictureShape wanted = source.flatMap(t -> t.medium().facts().shape()).orElse(film);
      return profile.shapes().stream()
          .min(
              Comparator.comparingDouble(
                  s -> Math.abs(Math.log(ServiceProfile.aspect(s) / wanted.aspect()))))
          .orElseThrow();
    }

    private void deliver(Request request, List<Path> files) throws IOException {
      double each = request.cost() / files.size();
      for (int i = 0; i < files.size(); i++) {
        Path file = files.get(i);
        String ending = file.toString().substring(file.toString().lastIndexOf('.'));
        String name =
            request.service().toLowerCase(java.util.Locale.ROOT).replace(' ', '-')
                + "-"
                + request.seed()
                + (files.size() > 1 ? "-" + (i + 1) : "")
                + ending;
        try (InputStream in = Files.newInputStream(file)) {
          bringIn.bringMade(
              request.productionId(),
              request.shotId(),
              name,
              in,
              new BringIn.Origin(request.service(), request.prompt(), request.seed() + i, each));
        }
      }
    }

    private static void remove(Path folder) throws IOException {
      try (Stream<Path> files = Files.list(folder)) {
        for (Path file : files.toList()) {
          Files.delete(file);
        }
      }
      Files.delete(folder);
    }
  }
}
