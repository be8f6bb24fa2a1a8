// @vitest-environment jsdom
import { act, cleanup, fireEvent, render, screen } from "@testing-library/react";
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import { BringPacked } from "../rooms/shelf/BringPacked";
import { Server, page } from "./server";

/** A request that is on its way until the test says what became of it. */
class OnItsWay {
  static last: OnItsWay;
  readonly upload: { onprogress?: (e: { loaded: number }) => void } = {};
  readonly sent: unknown[] = [];
  onload = () => {};
  onerror = () => {};
  status = 0;
  responseText = "";
  path = "";
  constructor() {
    OnItsWay.last = this;
  }
  open(_: string, path: string) {
    this.path = path;
  }
  setRequestHeader() {}
  send(file: unknown) {
    this.sent.push(file);
  }
  answer(status: number, body: unknown) {
    this.status = status;
    this.responseText = JSON.stringify(body);
    act(() => this.onload());
  }
}

describe("a packed production that comes in", () => {
  beforeEach(() => {
    new Server().on("GET /api/productions", []);
    vi.stubGlobal("XMLHttpRequest", OnItsWay);
  });
  afterEach(() => {
    cleanup();
    vi.unstubAllGlobals();
  });
  const chosen = async () => {
    render(page(<BringPacked />));
    const file = new File(["0123456789"], "night & day.zip");
    fireEvent.change(screen.getByLabelText("A packed production"), { target: { files: [file] } });
    expect(await screen.findByText("Sending it, 0 %")).toBeTruthy();
    return OnItsWay.last;
  };

  it("shows how far it is", async () => {
    const request = await chosen();
    expect(request.path).toBe("/api/productions/packed?name=night%20%26%20day.zip");
    act(() => request.upload.onprogress?.({ loaded: 4 }));
    expect(screen.getByText("Sending it, 40 %")).toBeTruthy();
    act(() => request.upload.onprogress?.({ loaded: 10 }));
    expect(screen.getByText("Looking into it…")).toBeTruthy();
  });

  it("can be brought again after it was refused", async () => {
    const request = await chosen();
    request.answer(422, { detail: "This zip is no packed production." });
    expect(await screen.findByText("Bring in a packed one")).toBeTruthy();
  });

  it("can be brought again after the line broke", async () => {
    const request = await chosen();
    act(() => request.onerror());
    expect(await screen.findByText("Bring in a packed one")).toBeTruthy();
  });
});
