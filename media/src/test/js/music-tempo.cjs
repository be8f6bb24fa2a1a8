// Prints the beat times that npm's music-tempo finds in a 16-bit stereo WAV file, one a line.
const { readFileSync } = require("node:fs");
const MusicTempo = require("../../../target/references/node_modules/music-tempo");

const wav = readFileSync(process.argv[2]);
const samples = new Float32Array((wav.length - 44) / 4);
for (let i = 0; i < samples.length; i++) {
  samples[i] = (wav.readInt16LE(44 + 4 * i) + wav.readInt16LE(46 + 4 * i)) / 65536;
}
for (const beat of new MusicTempo(samples).beats) console.log(beat);
