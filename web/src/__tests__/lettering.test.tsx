// @vitest-environment jsdom
import { cleanup, fireEvent, render, screen, waitFor } from "@testing-library/react";
import { afterEach, describe, expect, it, vi } from "vitest";
import type { Lettering } from "../api/client";
import { AlignChoice } from "../rooms/words/AlignChoice";
import { LetteringFields } from "../rooms/words/LetteringFields";
import { lettersOf, shaded } from "../rooms/words/titles";
import { Server, page } from "./server";

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const SERIF = { name: "Serif", character: "book", bold: true, italic: false, logotype: false };

const LETTERING: Lettering = {
  face: { family: "Serif", bold: false, italic: false },
  size: 100,
  spacing: { tracking: 0, leading: 115, letters: "AS_WRITTEN", align: "MIDDLE" },
  fill: "COLOUR",
  colour: 0xffffff,
  outline: { width: 0, colour: 0 },
  shadow: { away: 0, softness: 0, opacity: 0, colour: 0 },
  plate: { kind: "NONE", opacity: 0, colour: 0 },
};

async function shown(lettering: Lettering = LETTERING) {
  new Server()
    .on("GET /api/title-designs", { families: [SERIF], own: [], designs: [] })
    .on("GET /api/own-faces", []);
  const onKeep = vi.fn();
  const onTry = vi.fn();
  render(
    page(<LetteringFields lettering={lettering} lines={1080} onTry={onTry} onKeep={onKeep} />),
  );
  // The face's weights are known once the families have come.
  await screen.findByRole("button", { name: "bold" });
  return { onKeep, onTry };
}

function type(field: string, text: string) {
  const input = screen.getByLabelText(field);
  fireEvent.change(input, { target: { value: text } });
  fireEvent.blur(input);
}

describe("how a title's letters are set", () => {
  it("has an outline, and a shadow that glows where it is not thrown", async () => {
    const { onKeep, onTry } = await shown();
    type("outline, %", "2.5");
    expect(onKeep).toHaveBeenLastCalledWith({ ...LETTERING, outline: { width: 25, colour: 0 } });
    type("shadow, %", "70");
    expect(onKeep).toHaveBeenLastCalledWith({
      ...LETTERING,
      shadow: { away: 0, softness: 120, opacity: 70, colour: 0 },
    });
    const colour = screen.getByLabelText("Colour of the shadow");
    fireEvent.change(colour, { target: { value: "#ffcc00" } });
    expect(onTry).toHaveBeenLastCalledWith({
      ...LETTERING,
      shadow: { ...LETTERING.shadow, colour: 0xffcc00 },
    });
    expect(onKeep).toHaveBeenCalledTimes(2);
    fireEvent.blur(colour);
    expect(onKeep).toHaveBeenCalledTimes(3);
  });

  it("has nothing to be set of a logotype but its size and what lies round it", async () => {
    new Server().on("GET /api/title-designs", {
      families: [{ ...SERIF, name: "House sign", bold: false, logotype: true }],
      own: [],
      designs: [],
    });
    const face = { ...LETTERING.face, family: "House sign" };
    render(
      page(
        <LetteringFields
          lettering={{ ...LETTERING, face }}
          lines={1080}
          onTry={vi.fn()}
          onKeep={vi.fn()}
        />,
      ),
    );
    await waitFor(() => expect(screen.queryByLabelText("outline, %")).toBeNull());
    expect(screen.queryByRole("button", { name: "capitals" })).toBeNull();
    expect(screen.getByLabelText("shadow, %")).toBeTruthy();
  });

  it("lets the film be seen through", async () => {
    const { onKeep } = await shown();
    fireEvent.mouseDown(screen.getByRole("combobox", { name: "Letters are" }));
    fireEvent.click(await screen.findByRole("option", { name: "the film seen through" }));
    expect(onKeep).toHaveBeenLastCalledWith({ ...LETTERING, fill: "FILM" });
  });

  it("stands at a side of its box", () => {
    const onChange = vi.fn();
    render(page(<AlignChoice value="MIDDLE" onChange={onChange} />));
    fireEvent.click(screen.getByRole("button", { name: "middle" }));
    expect(onChange).not.toHaveBeenCalled();
    fireEvent.click(screen.getByRole("button", { name: "end" }));
    expect(onChange).toHaveBeenCalledWith("END");
  });

  it("is in capitals, small ones or neither, and a shadow stays as soft as it was", () => {
    expect(lettersOf(["AS_WRITTEN", "SMALL_CAPITALS"], "AS_WRITTEN")).toBe("SMALL_CAPITALS");
    expect(lettersOf(["SMALL_CAPITALS", "CAPITALS"], "SMALL_CAPITALS")).toBe("CAPITALS");
    expect(lettersOf(["bold"], "CAPITALS")).toBe("AS_WRITTEN");
    expect(lettersOf(["bold", "CAPITALS"], "CAPITALS")).toBe("CAPITALS");
    const hard = { away: 20, softness: 0, opacity: 60, colour: 0 };
    expect(shaded(hard, 30)).toEqual({ ...hard, opacity: 30 });
  });
});
