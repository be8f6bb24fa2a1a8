"""Accompaniments that Debian's mma plays to chords, some under a melody of our own."""

import re
import subprocess
from pathlib import Path

import mido
import numpy as np

LIBRARY = Path("/usr/share/mma/lib")
SECONDS = 50

# Files of grooves that ./bench beats chooses by or reports on: they are never learnt from.
HELD = set(
    """basicrock 50srock 60srock ballad bebop calypso guitarballad hillcountry jazzguitar polka
    popballad rhumba rockballad samba slowblues slowrock softrock swing tango fastblues dixie march
    merengue trance pianoballad bolero easyswing popwaltz frenchwaltz jazz54 modernjazzwaltz
    vienesewaltz broadwaywaltz""".split()
)
NO_WHOLE = ("intro", "end", "fill", "break", "metronome")
ROOTS = ["C", "D", "E", "F", "G", "A", "Bb", "Eb"]
KINDS = ["", "m", "7", "m7", "M7", "", ""]


def grooves():
    """By file: name and beats of a bar. Those counted in eighths are left out."""
    files = []
    for file in sorted(LIBRARY.glob("*/*.mma")):
        text = file.read_text(errors="replace")
        signature = re.search(r"^\s*TimeSig\s+\d+\s+(\d+)", text, re.M | re.I)
        if file.stem.lower() in HELD or (signature and signature[1] == "8"):
            continue
        meter = re.search(r"^\s*Time\s+(\d+)", text, re.M | re.I)
        names = [
            name
            for name in re.findall(r"^\s*DefGroove\s+(\S+)", text, re.M | re.I)
            if not any(part in name.lower() for part in NO_WHOLE)
        ]
        if names:
            files.append([(file.stem, name, int(meter[1]) if meter else 4) for name in names])
    return files


GROOVES = grooves()


def usual_tempi(stem):
    stem = stem.lower()
    if "ballad" in stem or "slow" in stem:
        return 60, 100
    if any(word in stem for word in ("fast", "quick", "polka", "punk", "jive", "galop")):
        return 115, 195
    return 80, 165


def accompaniment(chance, scratch):
    """A MIDI file, its beats and downbeats in seconds; None if the groove cannot be played."""
    stem, groove, meter = chance.choice(chance.choice(GROOVES))
    slow, quick = usual_tempi(stem)
    bpm = int(slow * (quick / slow) ** chance.random())
    lines = [f"Tempo {bpm}", "SeqRnd On", f"Groove {groove}"]
    if chance.random() < 0.3:
        lines.append("AllTracks DRUM Off")
    if chance.random() < 0.15:
        lines.append("AllTracks BASS Off")
    chords = [chance.choice(ROOTS) + chance.choice(KINDS) for _ in range(chance.choice([4, 4, 8]))]
    bars = int(SECONDS * bpm / 60 / meter) + 1
    for bar in range(bars):
        second = f" / {chance.choice(chords)}" if meter == 4 and chance.random() < 0.1 else ""
        lines.append(f"{bar + 1} {chords[bar % len(chords)]}{second}")
    song, midi = scratch.with_suffix(".mma"), scratch.with_suffix(".mid")
    song.write_text("\n".join(lines) + "\n")
    if subprocess.run(["mma", "-f", midi, song], capture_output=True).returncode:
        return None
    played = mido.MidiFile(midi)
    if chance.random() < 0.5:
        played.tracks.append(melody(chance, bars * meter, played.ticks_per_beat))
    beats = np.arange(bars * meter) * 60 / bpm
    return played, beats, beats[::meter]


def melody(chance, beats, ticks):
    track = mido.MidiTrack()
    channel = chance.choice([14, 15])
    program = chance.choice([73, 40, 56, 65, 71, 0, 11, 26, 29, 52, 80])
    track.append(mido.Message("program_change", channel=channel, program=program))
    grid = chance.choice([2, 2, 4])
    place, last, note = 0.0, 0, 72
    while place < beats:
        length = chance.choice([1, 1, 2, 2, 3, 4]) / grid
        if chance.random() < 0.8:
            note = max(62, min(86, note + chance.choice([-4, -2, -1, 1, 2, 3])))
            start, end = int(place * ticks), int((place + length * 0.9) * ticks)
            loud = chance.randint(65, 110)
            for kind, velocity, at in (("note_on", loud, start), ("note_off", 0, end)):
                message = dict(channel=channel, note=note, velocity=velocity)
                track.append(mido.Message(kind, time=at - last, **message))
                last = at
        place += length
    return track
