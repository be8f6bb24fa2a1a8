// Reads the content credentials of files with the C2PA's own reader (c2pa-rs), and prints what it
// makes of each. Used by the tests of the server. Arguments: a media type and a file, in pairs.
import { readFileSync } from "node:fs";
import { createRequire } from "node:module";
import process from "node:process";
import init, { WasmReader } from "@contentauth/c2pa-wasm";

const require = createRequire(import.meta.url);
const code = require.resolve("@contentauth/c2pa-wasm").replace(/[^/]*$/, "c2pa_bg.wasm");
await init({ module_or_path: readFileSync(code) });

const read = async (type, file) => {
  const reader = await WasmReader.fromBytes(type, new Uint8Array(readFileSync(file)));
  return JSON.parse(reader.json());
};

const asked = process.argv.slice(2);
const found = [];
for (let i = 0; i < asked.length; i += 2) {
  found.push(await read(asked[i], asked[i + 1]).catch((e) => ({ error: String(e?.message ?? e) })));
}
process.stdout.write(JSON.stringify(found));
