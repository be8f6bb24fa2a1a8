"""Makes pieces to learn from: pieces.py FOLDER FROM TO [STEP]."""

import random
import sys
import tempfile
from pathlib import Path

import mido
import numpy as np
from accompaniments import accompaniment
from bands import DRUMS, band
from sound import RATE, played, recorded, spectrogram, speech

TICKS = 480
SHORTEST, LONGEST = 20, 52


def midi(made):
    """A band's piece as a MIDI file at 120 beats a minute, whatever its own are."""
    chance = made.chance
    messages = []
    for channel, program in made.programs.items():
        volume = chance.randint(70, 120 if channel != DRUMS else 127)
        room = chance.choice([0, 20, 40, 70, 100])
        change = lambda control, value: mido.Message(
            "control_change", channel=channel, control=control, value=value
        )
        program = mido.Message("program_change", channel=channel, program=program)
        messages += [(0, 0, program), (0, 0, change(7, volume)), (0, 0, change(91, room))]
    for start, end, channel, note, velocity in made.notes:
        message = dict(channel=channel, note=note)
        messages.append((start, 1, mido.Message("note_on", velocity=velocity, **message)))
        messages.append((end, 0, mido.Message("note_off", velocity=0, **message)))
    track, last = mido.MidiTrack([mido.MetaMessage("set_tempo", tempo=500_000)]), 0
    for time, _, message in sorted(messages, key=lambda m: m[:2]):
        tick = round(time * 2 * TICKS)
        track.append(message.copy(time=tick - last))
        last = tick
    return mido.MidiFile(ticks_per_beat=TICKS, tracks=[track])


def drawn(chance, scratch):
    """A MIDI file, its beats and downbeats in seconds."""
    if chance.random() < 0.4:
        return accompaniment(chance, scratch)
    made = band(chance)
    beats = np.array(made.times[:-1])
    return midi(made), beats, beats[:: made.meter]


def make(number, folder, scratch):
    """Writes a piece; none where nearly nothing is played."""
    chance = random.Random(1000 + number)
    piece = None
    while piece is None:
        piece = drawn(chance, scratch)
    score, beats, downbeats = piece
    sound = played(score, chance, scratch)
    sound = sound[: int(min((beats[-1] + 0.5) * RATE, LONGEST * RATE))]
    if len(sound) < SHORTEST * RATE or np.abs(sound).max() < 1e-3:
        return
    sound = recorded(sound, chance, np.random.default_rng(1000 + number))
    if chance.random() < 0.12:
        sound = sound + chance.uniform(0.1, 0.6) * speech(len(sound), chance, scratch)
    bands = spectrogram(sound).astype(np.float16)
    np.savez(folder / f"{number:05d}.npz", mel=bands, beats=beats, downs=downbeats)


if __name__ == "__main__":
    target = Path(sys.argv[1])
    target.mkdir(parents=True, exist_ok=True)
    with tempfile.TemporaryDirectory() as scratch:
        for number in range(*map(int, sys.argv[2:])):
            make(number, target, Path(scratch) / "piece")
