// @vitest-environment jsdom
import { QueryClient } from "@tanstack/react-query";
import { act, cleanup, fireEvent, render, screen, waitFor } from "@testing-library/react";
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import { useMasterNews } from "../api/masterNews";
import { NoticeLine, useNotice } from "../parts/notice";
import { ChannelStyles } from "../rooms/master/ChannelStyles";
import { KeepPreset } from "../rooms/master/KeepPreset";
import { Presets } from "../rooms/master/Presets";
import { StyleLine } from "../rooms/master/StyleLine";
import { BadgeWay } from "../rooms/takes/BadgeWay";
import { film } from "./film";
import { output } from "./output";
import { Server, page, production, take } from "./server";

let server: Server;
beforeEach(() => {
  server = new Server();
});
afterEach(() => {
  cleanup();
  useNotice.setState({ text: "" });
  vi.unstubAllGlobals();
});

describe("presets", () => {
  const said = { ...output().said, name: "{film}, loop", encoding: "WEBP", lines: 480 } as const;
  const preset = { id: 5, name: "Square loop", said, text: '{"name":"Square loop"}' };
  const shown = () => {
    const onAdd = vi.fn();
    server
      .on("GET /api/presets", [preset])
      .on("GET /api/encodings", [
        { encoding: "WEBP", label: "WebP, loops", holds: "PICTURES", sizing: "LIMIT" },
      ]);
    render(page(<Presets first={output().said} onAdd={onAdd} onClose={vi.fn()} />));
    return onAdd;
  };

  it("begin an output, or another like the first does", async () => {
    const onAdd = shown();
    expect(await screen.findByText("as the film, 480 lines, WebP, loops")).toBeTruthy();
    fireEvent.click(screen.getByText("Add"));
    expect(onAdd).toHaveBeenCalledWith(said);
    fireEvent.click(screen.getByText("One like the first"));
    expect(onAdd).toHaveBeenLastCalledWith(
      expect.objectContaining({ name: "Night Post, another", ticked: false }),
    );
  });

  it("are edited as documents, and stay open when that is refused", async () => {
    shown();
    server.on("POST /api/presets/document", { detail: "Give the preset a name." }, 422);
    render(page(<NoticeLine />));
    fireEvent.click(await screen.findByText("Edit"));
    const text = screen.getByLabelText<HTMLTextAreaElement>("The preset’s document");
    expect(JSON.parse(text.value)).toEqual({ name: "Square loop" });
    fireEvent.change(text, { target: { value: '{"name":""}' } });
    fireEvent.click(screen.getByText("Keep it"));
    expect(await screen.findByText("Give the preset a name.")).toBeTruthy();
    expect(server.sent("POST /api/presets/document")).toEqual({ text: '{"name":""}' });
    server.on("POST /api/presets/document", preset, 201);
    fireEvent.click(screen.getByText("Keep it"));
    await waitFor(() => expect(screen.queryByLabelText("The preset’s document")).toBeNull());
  });

  it("keep an output without its part of the film", async () => {
    server.on("POST /api/presets", preset, 201).on("GET /api/presets", []);
    const at = { tie: "FREE", frame: 12 } as unknown as typeof said.from;
    render(page(<KeepPreset said={{ ...output().said, from: at, to: at }} />));
    fireEvent.change(screen.getByLabelText("What kind of place"), { target: { value: "Teaser" } });
    fireEvent.click(screen.getByText("Keep"));
    await waitFor(() =>
      expect(server.sent("POST /api/presets")).toEqual({ name: "Teaser", said: output().said }),
    );
  });
});

describe("a channel's style", () => {
  const style = { id: 8, name: "Thistle House", badge: "N. P.", holds: ["2 outputs", "3 tags"] };
  const known = (changed: boolean) =>
    server
      .on("GET /api/styles", [style])
      .on("GET /api/productions/3/style", { style, changed })
      .on("POST /api/productions/3/style/take")
      .on("POST /api/productions/3/style/keep", style, 201)
      .on("DELETE /api/productions/3/style");

  it("is told to have changed, and taken", async () => {
    known(true);
    render(page(<StyleLine production={production} film={film(12)} />));
    expect(await screen.findByText("The style of Thistle House has changed since.")).toBeTruthy();
    fireEvent.click(screen.getByText("Take it"));
    await waitFor(() =>
      expect(server.sent("POST /api/productions/3/style/take")).toEqual({
        style: 8,
        revision: film(12).revision,
      }),
    );
  });

  it("is kept anew under the name it is followed by, and left", async () => {
    known(false);
    render(page(<ChannelStyles production={production} film={film(12)} onClose={vi.fn()} />));
    expect(await screen.findByText("2 outputs, 3 tags")).toBeTruthy();
    expect(await screen.findByText("This production has it as it is.")).toBeTruthy();
    fireEvent.click(screen.getByText("Keep it anew"));
    await waitFor(() =>
      expect(server.sent("POST /api/productions/3/style/keep")).toEqual({ name: "Thistle House" }),
    );
    fireEvent.click(screen.getByText("Follow it no more"));
    await waitFor(() => expect(server.count("DELETE /api/productions/3/style")).toBe(1));
  });
});

describe("a badge", () => {
  const ways = {
    shown: 1,
    open: 1,
    closer: 13,
    lost: 22,
    bars: 239,
    badge: null,
    others: [],
    behind: 0,
  };
  const path = "POST /api/productions/3/film/marks/200/badge";
  const shown = (over: Partial<Parameters<typeof BadgeWay>[0]["ways"]> = {}) =>
    render(
      page(
        <BadgeWay production={production} take={take()} ways={{ ...ways, ...over }} revision={7} />,
      ),
    );

  it("says the production's title unless something else is written", async () => {
    server.on(path, {});
    shown();
    fireEvent.click(screen.getByText("Whole film"));
    await waitFor(() =>
      expect(server.sent(path)).toEqual({
        revision: 7,
        text: "Night Post",
        face: "Source Sans 3",
        reach: "WHOLE_FILM",
      }),
    );
    fireEvent.change(screen.getByLabelText("The badge says"), { target: { value: "N. P." } });
    fireEvent.click(screen.getByText("Where needed"));
    await waitFor(() =>
      expect(server.sent(path)).toMatchObject({ text: "N. P.", reach: "WHERE_NEEDED" }),
    );
    expect(screen.queryByText("Take it out")).toBeNull();
  });

  it("can be a logotype of one’s own", async () => {
    server.on(path, {}).on("GET /api/title-designs", {
      families: [
        { name: "House sign", character: "a logotype", bold: false, italic: false, logotype: true },
      ],
      own: [],
      designs: [],
    });
    shown();
    fireEvent.mouseDown(await screen.findByRole("combobox"));
    fireEvent.click(await screen.findByText("House sign, a logotype"));
    fireEvent.click(screen.getByText("Where needed"));
    await waitFor(() => expect(server.sent(path)).toMatchObject({ face: "House sign" }));
  });

  it("is taken out where there is one", async () => {
    server.on(`${path}-out`, {});
    shown({ badge: { text: "N. P.", face: "House sign", reach: "WHERE_NEEDED" } });
    expect(screen.getByText("A badge lies over marks where needed")).toBeTruthy();
    fireEvent.click(screen.getByText("Take it out"));
    await waitFor(() => expect(server.sent(`${path}-out`)).toEqual({ revision: 7 }));
  });
});

describe("the end of a master", () => {
  const Room = () => {
    useMasterNews(3);
    return <NoticeLine />;
  };
  const masters = (state: string) =>
    server.on("GET /api/productions/3/masters", [
      { id: 9, name: "Night Post", state, message: "black for 1.0 s" },
    ]);

  it("is told once, in whatever room, and not of those made before", async () => {
    const client = new QueryClient({ defaultOptions: { queries: { retry: false } } });
    // What is read is shown a moment later.
    const again = () =>
      act(async () => {
        await client.invalidateQueries();
        await new Promise((shown) => setTimeout(shown, 10));
      });
    masters("DONE");
    render(page(<Room />, client));
    await waitFor(() => expect(server.count("GET /api/productions/3/masters")).toBe(1));
    expect(screen.queryByText(/Night Post/)).toBeNull();
    masters("RENDERING");
    await again();
    masters("DOUBTFUL");
    await again();
    expect(await screen.findByText(/is made, but look at it: black for 1.0 s/)).toBeTruthy();
    act(() => useNotice.getState().dismiss());
    await again();
    await waitFor(() => expect(screen.queryByText(/look at it/)).toBeNull());
  });
});
