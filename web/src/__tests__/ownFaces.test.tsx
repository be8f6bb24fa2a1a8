// @vitest-environment jsdom
import { cleanup, fireEvent, render, screen, waitFor, within } from "@testing-library/react";
import { afterEach, describe, expect, it, vi } from "vitest";
import { FaceChoice } from "../rooms/words/FaceChoice";
import { Server, page } from "./server";

const HARBOUR = {
  family: "Harbour",
  bold: true,
  italic: false,
  licence: "OFL 1.1",
  logotype: false,
};
const SERIF = { name: "Serif", character: "book", bold: true, italic: true, logotype: false };

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

/** The choice of a face, with one of the person's own there. */
function shown(value: string) {
  const server = new Server()
    .on("GET /api/title-designs", { families: [SERIF], own: [], designs: [] })
    .on("GET /api/own-faces", [HARBOUR, { ...HARBOUR, bold: false, italic: true }]);
  const onChange = vi.fn();
  render(page(<FaceChoice label="Face" value={value} onChange={onChange} />));
  return { server, onChange };
}

/** Opens the list of own faces. */
async function opened() {
  fireEvent.mouseDown(await screen.findByRole("combobox"));
  fireEvent.click(await screen.findByText("Your own faces…"));
  return screen.findByRole("dialog");
}

describe("the face that words are set in", () => {
  it("is one of those there are, or what it was if that is not here", async () => {
    const { onChange } = shown("Nobody’s");
    fireEvent.mouseDown(await screen.findByRole("combobox"));
    expect(await screen.findByRole("option", { name: "Nobody’s" })).toBeTruthy();
    fireEvent.click(await screen.findByText("Serif, book"));
    expect(onChange).toHaveBeenCalledWith("Serif");
  });

  it("is one’s own, told with its cuts and licence, and taken off the list", async () => {
    const { server, onChange } = shown("Serif");
    const dialog = await opened();
    const row = await within(dialog).findByRole("region", { name: "Harbour" });
    expect(row.textContent).toContain("bold, italic; OFL 1.1");
    server.on("DELETE /api/own-faces");
    fireEvent.click(within(row).getByRole("button", { name: "Take Harbour off" }));
    await waitFor(() => expect(server.count("DELETE /api/own-faces")).toBe(1));
    fireEvent.click(within(row).getByRole("button", { name: "Set in it" }));
    expect(onChange).toHaveBeenCalledWith("Harbour");
  });

  it("is brought in with its licence and set in at once", async () => {
    const { server, onChange } = shown("Serif");
    const dialog = await opened();
    expect(within(dialog).queryByRole("button", { name: "Bring in" })).toBeNull();
    const file = new File(["font"], "tide.ttf");
    fireEvent.change(within(dialog).getByLabelText("Font file"), { target: { files: [file] } });
    const licence = within(dialog).getByLabelText("Licence of the face");
    fireEvent.change(licence, { target: { value: "bought" } });
    server.on("POST /api/own-faces", { ...HARBOUR, family: "Tide" });
    fireEvent.click(within(dialog).getByRole("button", { name: "Bring in" }));
    await waitFor(() => expect(onChange).toHaveBeenCalledWith("Tide"));
    expect(server.asked.find((a) => a.call === "POST /api/own-faces")?.query).toBe(
      "?name=tide.ttf&licence=bought",
    );
  });
});
