"""Speaks lines of text and tells where each word begins, as the synthesiser itself reports it.

Usage: known_speech.py VOICE WORDS_PER_MINUTE PITCH FOLDER < LINES

Writes FOLDER/N.wav and FOLDER/N.csv (character in the line, second) for line N, from 0. Calls
libespeak-ng and takes the WORD events of its callback. Words the synthesiser speaks as one with the
word before ("of the") have no event and are left out.
"""

import ctypes
import sys
import wave

SYNCHRONOUS, UTF8, RATE, PITCH, LIST_END, WORD = 2, 1, 1, 3, 0, 1


class Id(ctypes.Union):
    _fields_ = [("number", ctypes.c_int), ("name", ctypes.c_char_p), ("string", ctypes.c_char * 8)]


class Event(ctypes.Structure):
    _fields_ = [
        ("type", ctypes.c_int),
        ("unique", ctypes.c_uint),
        ("position", ctypes.c_int),
        ("length", ctypes.c_int),
        ("audio", ctypes.c_int),
        ("sample", ctypes.c_int),
        ("user", ctypes.c_void_p),
        ("id", Id),
    ]


def main(voice, words_per_minute, pitch, folder):
    library = ctypes.CDLL("libespeak-ng.so.1")
    rate = library.espeak_Initialize(SYNCHRONOUS, 0, None, 1)
    sound, words = bytearray(), []

    def hear(samples, count, events):
        if samples and count > 0:
            sound.extend(ctypes.string_at(samples, count * 2))
        i = 0
        while events[i].type != LIST_END:
            if events[i].type == WORD:
                words.append((events[i].position - 1, events[i].sample))
            i += 1
        return 0

    kind = ctypes.CFUNCTYPE(
        ctypes.c_int, ctypes.POINTER(ctypes.c_short), ctypes.c_int, ctypes.POINTER(Event)
    )
    callback = kind(hear)
    library.espeak_SetSynthCallback(callback)
    if library.espeak_SetVoiceByName(voice.encode()) != 0:
        sys.exit("There is no voice " + voice)
    library.espeak_SetParameter(RATE, int(words_per_minute), 0)
    library.espeak_SetParameter(PITCH, int(pitch), 0)
    for number, line in enumerate(sys.stdin.read().splitlines()):
        sound.clear()
        words.clear()
        text = line.encode()
        library.espeak_Synth(text, len(text) + 1, 0, 1, 0, UTF8, None, None)
        with wave.open(f"{folder}/{number}.wav", "wb") as out:
            out.setnchannels(1)
            out.setsampwidth(2)
            out.setframerate(rate)
            out.writeframes(bytes(sound))
        with open(f"{folder}/{number}.csv", "w") as out:
            for i, (position, sample) in enumerate(words):
                if i + 1 == len(words) or words[i + 1][1] != sample:
                    out.write(f"{position},{sample / rate:.4f}\n")


main(*sys.argv[1:])
