package app.latethistle.core.look;

import app.latethistle.core.Refused;
import java.util.ArrayList;
import java.util.List;

/**
 * One thing done to a picture.
 *
 * @param dials a value for each of the kind's parameters, in their order
 * @param bypassed whether it is left out for now
 * @param table SHA-256 of the .cube file that {@link TreatmentKind#TABLE} looks up in; "" for none,
 *     which leaves all as it is
 */
public record Treatment(TreatmentKind kind, List<Dial> dials, boolean bypassed, String table) {

  /** One that looks nothing up. */
  public Treatment(TreatmentKind kind, List<Dial> dials, boolean bypassed) {
    this(kind, dials, bypassed, "");
  }

  /**
   * @throws IllegalArgumentException if a value is missing or out of its parameter's range
   */
  public Treatment {
    dials = List.copyOf(dials);
    List<Parameter> parameters = kind.parameters();
    if (dials.size() != parameters.size()) {
      throw new Refused(
          kind + " has " + parameters.size() + " values; " + dials.size() + " were given.");
    }
    for (int i = 0; i < dials.size(); i++) {
      Parameter parameter = parameters.get(i);
      parameter.check(dials.get(i).value());
      dials.get(i).drive().ifPresent(drive -> parameter.check(drive.to()));
    }
  }

  /** A kind as it is if nothing is said of it: what comes and goes follows the music. */
  public static Treatment usual(TreatmentKind kind) {
    List<Parameter> parameters = kind.parameters();
    Dial first =
        switch (kind) {
          case FLASH -> Dial.driven(0, Drive.on(Drive.Source.DOWNBEATS, 70, 350));
          case PULSE -> Dial.driven(0, Drive.on(Drive.Source.BEATS, 6, 300));
          default -> Dial.at(parameters.get(0).usual());
        };
    List<Dial> dials = new ArrayList<>();
    dials.add(first);
    parameters.stream().skip(1).forEach(p -> dials.add(Dial.at(p.usual())));
    return new Treatment(kind, dials, false);
  }

  /** A kind with values for its parameters. */
  public static Treatment of(TreatmentKind kind, Dial... dials) {
    return new Treatment(kind, List.of(dials), false);
  }

  /**
   * A table that is looked up in.
   *
   * @param file SHA-256 of the .cube file
   */
  public static Treatment table(String file) {
    return new Treatment(
        TreatmentKind.TABLE, usual(TreatmentKind.TABLE).dials(), /* bypassed= */ false, file);
  }

  /** The same as it is on a hit, held. */
  public Treatment onHit() {
    return new Treatment(
        kind,
        dials.stream().map(d -> d.drive().map(drive -> Dial.at(drive.to())).orElse(d)).toList(),
        bypassed,
        table);
  }
}
