// Unpacks the families of families.csv from WOFF2 to the plain files that Java reads, and lists them.
import { copyFileSync, mkdirSync, readdirSync, readFileSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import { decompress } from "wawoff2";

const into = process.argv[2];
mkdirSync(into, { recursive: true });
const [, ...rows] = readFileSync("families.csv", "utf8").trim().split("\n");
const listed = ["family,character,weight,slope,script,file"];
for (const row of rows) {
  const [family, pack, character, scripts, italic] = row.split(",");
  const folder = join("node_modules/@fontsource", pack);
  const wanted = scripts ? scripts.split(" ") : null;
  const name = new RegExp(`^${pack}-([a-z-]+)-(400|700)-(normal|italic)\\.woff2$`);
  // Latin first: it is asked for most.
  const files = readdirSync(join(folder, "files")).sort(
    (a, b) => b.includes("-latin-") - a.includes("-latin-") || a.localeCompare(b),
  );
  for (const file of files) {
    const [, script, weight, slope] = name.exec(file) ?? [];
    const slanted = slope === "italic" && !(italic && weight === "400");
    if (!script || slanted || (wanted && !wanted.includes(script))) continue;
    const plain = file.replace("woff2", "ttf");
    writeFileSync(join(into, plain), await decompress(readFileSync(join(folder, "files", file))));
    listed.push([family, character, weight, slope, script, plain].join(","));
  }
  copyFileSync(join(folder, "LICENSE"), join(into, `${pack}.LICENSE.txt`));
}
writeFileSync(join(into, "faces.csv"), listed.join("\n") + "\n");
