package app.latethistle.standins.demo;

import app.latethistle.core.story.Brief;
import app.latethistle.core.story.Delivery;
import app.latethistle.core.story.ScriptFormat;
import app.latethistle.core.story.Sheets;
import app.latethistle.core.story.ShotList;
import app.latethistle.core.story.Story;
import java.util.List;

/** The story of "Night Post": a mail balloon in a drowned valley. */
final class NightPostStory {
  private static final String SCRIPT =
      """
      # Night Post

      ## The drowned valley
      - Moonlit water from ridge to ridge, one steeple above it.
      - Roofs and chimneys stand in black water.

      Maren (V.O.): Nobody remembers the year the valley filled.

      ## The stilt house
      - A letter is written by candle.
      - A lantern is lit.
      - The stilt house, a balloon moored beside it.

      Maren (V.O.): We only kept the lanterns lit, and the post running.

      - Into the envelope: the burner roars.
      - The basket lifts.

      ## The crossing
      - Over the drowned steeple.
      - First snow on the pines.
      - Snow settles on the mailbag.

      Osk (V.O.): One night in winter the wind turned north, and we flew all the same.

      - Lanterns below, seen from above.
      - The jetty.

      ## Forty-one doors
      - "Door 7" opens.
      - "Door 25" stays shut.
      - "Door 41" has no name.
      - A row of letterboxes on posts.

      Maren (V.O.): Forty-one letters. Forty-one doors. I had never missed one.

      ## The storm
      - The storm takes the balloon.

      Osk (V.O.): Then let it go.

      - A sealed letter falls, and does not land.

      Maren (V.O.): Whoever finds this, knock twice.

      ## Dawn
      - The town on stilts, and every balloon in the air.
      """;

  private static final String SHOTS =
      """
      010,4.5,pan right,1,,the drowned valley,hushed,"Moonlit water from ridge to ridge, one steeple above it"
      020,3,push in,1,,the drowned valley,hushed,Roofs and chimneys stand in black water
      030,3.5,push in,2,Maren,the stilt house,warm,A letter is written by candle
      040,2.5,still,2,,the stilt house,warm,"A lantern is lit, then another"
      050,3.5,pull out,2,,the stilt house,calm,"The stilt house, a balloon moored beside it"
      060,2.5,push in,0,,the balloon,loud,"Into the envelope, the burner roars"
      070,3,follow,0,Maren,the balloon,brisk,The basket lifts off its ropes
      080,3.5,still,3,,the crossing,wide,The balloon drifts over the drowned steeple
      090,3.5,pan right,3,,the crossing,cold,First snow on the pines
      100,2.5,push in,3,,the balloon,cold,Snow settles on the mailbag
      110,3,rise,0,,the crossing,wide,Lanterns in the dark seen from above
      120,3.5,push in,4,,the jetty,wary,The jetty runs out into the water
      130,2.5,push in,4,Maren,forty-one doors,wary,"A door marked ""Door 7"" opens a hand's width"
      140,2.5,pan left,4,,forty-one doors,wary,"A door marked ""Door 25"" stays shut"
      150,2.5,still,4,Maren,forty-one doors,wary,"A door marked ""Door 41"" has no name"
      160,3,pan right,4,,forty-one doors,patient,A row of letterboxes on posts
      170,3.5,still,5,Osk,the crossing,violent,The storm takes the balloon
      180,3,push in,6,,the crossing,still,"A sealed letter falls, and does not land"
      190,5,pull out,0,,the drowned valley,dawning,"The town on stilts at dawn, every balloon in the air"
      """;

  private NightPostStory() {}

  static Story story(double seconds) {
    Story empty = Story.empty(seconds);
    Sheets sheets =
        new Sheets(
            List.of(
                new Sheets.Person(
                    "Maren",
                    "woman of sixty, grey braid, weathered face, pale eyes",
                    "dark blue oilskin coat, brass buttons, red scarf",
                    ""),
                new Sheets.Person(
                    "Osk",
                    "boy of fourteen, cropped black hair, freckles",
                    "patched grey wool",
                    "")),
            List.of(
                new Sheets.Place(
                    "the drowned valley", "flooded alpine valley, roofs in black water"),
                new Sheets.Place("the stilt house", "timber house on stilts, snow on the roof"),
                new Sheets.Place(
                    "the balloon", "patched mail balloon, wicker basket, brass burner")),
            new Sheets.Look(
                "35 mm lens",
                "painted storybook film",
                "moonlight against lantern light",
                "cold blue with amber",
                "quiet",
                "16:9"),
            List.of("modern things", "extra fingers", "captions"));
    return empty
        .withBrief(
            new Brief(
                Brief.Form.TRAILER,
                "a night mail balloon in a drowned valley",
                "people who like quiet stories",
                "short sentences; nothing is explained",
                seconds,
                "the valley, the crossing, forty-one doors, the storm, dawn"))
        .withScript(SCRIPT, ScriptFormat.MARKDOWN)
        .withDelivery(Delivery.of(78))
        .withSheets(sheets)
        .withShots(new ShotList(DemoStory.shots(SHOTS)));
  }
}
