// Reads captions.srt, .vtt and .ttml of a folder with readers that are not ours, and prints what
// each has: [start, end, text] in seconds. Used by the tests of the whole application.
import { createRequire } from "node:module";
import { readFileSync } from "node:fs";
import { join } from "node:path";
import process from "node:process";

const require = createRequire(import.meta.url);
const folder = process.argv[2];
const text = (name) => readFileSync(join(folder, name), "utf8");

const { WebVTTParser } = require("webvtt-parser");
const vtt = new WebVTTParser().parse(text("captions.vtt"), "subtitles");

const subsrt = require("subsrt-ts");
const srt = (subsrt.parse ?? subsrt.default.parse)(text("captions.srt"), { format: "srt" });

const imsc = require("imsc/src/main/js/doc.js");
const wrong = [];
const noted = (level) => (message) => void wrong.push(`${level}: ${message}`);
const handler = {
  info: () => false,
  warn: noted("warning"),
  error: noted("error"),
  fatal: noted("fatal"),
};
const ttml = imsc.fromXML(text("captions.ttml"), handler);
const spans = (node) =>
  node.kind === "br" ? "\n" : (node.text ?? (node.contents ?? []).map(spans).join(""));
const found = [];
const walk = (node) => {
  if (node.kind === "p") found.push([node.begin, node.end, spans(node)]);
  else (node.contents ?? []).forEach(walk);
};
walk(ttml.body);

process.stdout.write(
  JSON.stringify({
    vtt: vtt.cues.map((c) => [c.startTime, c.endTime, c.text]),
    vttErrors: vtt.errors.map((e) => e.message),
    srt: srt.map((c) => [c.start / 1000, c.end / 1000, c.text]),
    ttml: found,
    ttmlErrors: wrong,
  }),
);
