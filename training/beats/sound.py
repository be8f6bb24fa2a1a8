"""What a piece sounds like, and the spectrogram the application would make of it."""

import subprocess

import numpy as np
import soundfile
from scipy.signal import butter, fftconvolve, lfilter

RATE = 22_050
HOP = 221
WINDOW = 1024
BANDS = 40

# Sound fonts of Debian, and how often each is heard.
FONTS = {
    "/usr/share/sounds/sf2/FluidR3_GM.sf2": 5,
    "/usr/share/sounds/sf2/TimGM6mb.sf2": 3,
    "/usr/share/sounds/sf3/MuseScore_General_Lite.sf3": 5,
    "/usr/share/sounds/sf2/FluidR3_GS.sf2": 2,
    "/usr/share/sounds/sf2/sf_GMbank.sf2": 3,
    "/usr/share/sounds/sf2/OPL-3_FM_128M.sf2": 1,
}
LINES = [
    "the long night begins", "no one remembers the harbour", "under the glass there is a letter",
    "we were never told the hour", "and the lamps go out one by one", "listen to the water",
]  # fmt: skip


def played(midi, chance, scratch):
    midi_file, wave = scratch.with_suffix(".mid"), scratch.with_suffix(".wav")
    midi.save(midi_file)
    font = chance.choices(list(FONTS), list(FONTS.values()))[0]
    command = ["fluidsynth", "-ni", "-q", "-g", "0.4", "-r", str(RATE), "-F", wave, font, midi_file]
    subprocess.run(command, capture_output=True, check=True)
    sound, _ = soundfile.read(wave)
    return sound.mean(1)


def level(sound):
    return sound / (np.abs(sound).max() + 1e-9)


def recorded(sound, chance, noise):
    """As if it had been recorded: filters, a room, distortion, compression, noise, a level."""
    if chance.random() < 0.5:
        for _ in range(chance.choice([1, 2])):
            corner = chance.choice([100, 200, 400, 1000, 3000, 6000])
            b, a = butter(1, corner / (RATE / 2), chance.choice(["low", "high"]))
            sound = sound + (10 ** (chance.uniform(-12, 8) / 20) - 1) * lfilter(b, a, sound)
    if chance.random() < 0.4:
        length = int(chance.uniform(0.2, 1.8) * RATE)
        room = noise.standard_normal(length) * np.exp(-6.9 * np.arange(length) / length)
        room /= np.sqrt((room**2).sum())
        sound = sound + chance.uniform(0.1, 0.7) * fftconvolve(sound, room)[: len(sound)]
    sound = level(sound)
    if chance.random() < 0.4:
        drive = chance.uniform(1.5, 8)
        sound = np.tanh(drive * sound) / np.tanh(drive)
    if chance.random() < 0.4:
        slow = np.exp(-1 / (RATE * 0.05))
        envelope = lfilter([1 - slow], [1, -slow], np.abs(sound))
        sound = level(sound / (envelope + 0.1) ** chance.uniform(0.3, 0.8))
    if chance.random() < 0.3:
        sound = sound + noise.standard_normal(len(sound)) * 10 ** (chance.uniform(-60, -30) / 20)
    if chance.random() < 0.15:
        b, a = butter(4, chance.uniform(2500, 8000) / (RATE / 2))
        sound = lfilter(b, a, sound)
    return sound * 10 ** (chance.uniform(-16, 0) / 20)


def speech(length, chance, scratch):
    """Somebody speaks now and then."""
    sound, at = np.zeros(length), 0
    wave = scratch.with_suffix(".speech.wav")
    while at < length:
        voice = chance.choice(["en", "en-us", "de", "fr", "it", "ru"])
        pitch, speed = str(chance.randint(20, 80)), str(chance.randint(110, 190))
        text = " ".join(chance.choice(LINES) for _ in range(2))
        command = ["espeak-ng", "-v", voice, "-p", pitch, "-s", speed, "-w", wave, text]
        subprocess.run(command, capture_output=True, check=True)
        spoken = soundfile.read(wave)[0][: length - at]
        sound[at : at + len(spoken)] = spoken
        at += len(spoken) + int(chance.uniform(0, 3) * RATE)
    return sound


def filters():
    """The bands of the application's LogMel for music; see there."""
    mel = lambda hz: 2595 * np.log10(1 + hz / 700)
    steps = mel(30) + (mel(11_000) - mel(30)) * np.arange(BANDS + 2) / (BANDS + 1)
    edges = 700 * (10 ** (steps / 2595) - 1) * WINDOW / RATE
    weights = np.zeros((WINDOW // 2, BANDS), np.float32)
    for band, (low, middle, high) in enumerate(zip(edges, edges[1:], edges[2:])):
        first, last = max(1, int(np.floor(low))), min(WINDOW // 2 - 1, int(np.ceil(high)))
        bins = np.arange(first, last + 1)
        rise, fall = (bins - low) / (middle - low), (high - bins) / (high - middle)
        weight = np.maximum(0, np.minimum(rise, fall))
        if weight.sum() == 0:
            weight[min(len(weight) - 1, int(round(middle)) - first)] = 1
        weights[bins, band] = weight
    return weights


FILTERS = filters()
HANN = (0.5 - 0.5 * np.cos(2 * np.pi * np.arange(WINDOW) / WINDOW)).astype(np.float32)


def spectrogram(sound):
    """Frames of bands, as the application's LogMel; equal to 3e-5."""
    padded = np.pad(sound.astype(np.float32), (WINDOW // 2, WINDOW))
    starts = np.arange(len(sound) // HOP + 1) * HOP
    frames = np.empty((len(starts), BANDS), np.float32)
    for at in range(0, len(starts), 2000):
        windows = padded[starts[at : at + 2000, None] + np.arange(WINDOW)] * HANN
        magnitudes = np.abs(np.fft.rfft(windows, axis=1))[:, : WINDOW // 2] * 4 / WINDOW
        magnitudes[:, 0] = 0
        frames[at : at + 2000] = np.log1p(1000 * magnitudes.astype(np.float32) @ FILTERS)
    return frames
