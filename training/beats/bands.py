"""Bands of our own: pieces of invented music whose beats are known.

A band has a way of playing, a tempo, a meter, chords, and parts that come and go by sections. What
is drawn at random here is meant to be wide rather than beautiful. All numbers: no source.
"""

from dataclasses import dataclass, field

SECONDS = 50
DRUMS = 9

# Slowest and quickest tempo, beats in a bar, smallest notes in a beat, how often.
WAYS = {
    "rock": (85, 160, 4, 4, 4), "pop": (80, 140, 4, 4, 4), "half time": (120, 180, 4, 4, 2),
    "punk": (150, 205, 4, 2, 2), "metal": (100, 200, 4, 4, 3), "broken": (158, 182, 4, 4, 3),
    "house": (115, 132, 4, 4, 4), "trance": (128, 148, 4, 4, 3), "techno": (122, 150, 4, 4, 3),
    "hip hop": (72, 108, 4, 4, 3), "reggae": (65, 95, 4, 4, 1), "ska": (120, 180, 4, 2, 1),
    "disco": (105, 130, 4, 4, 2), "bossa": (105, 150, 4, 4, 1), "shuffle": (80, 160, 4, 3, 3),
    "slow twelve": (45, 75, 4, 3, 2), "waltz": (80, 180, 3, 2, 3), "arpeggios": (70, 150, 4, 4, 4),
    "arpeggios in three": (70, 140, 3, 4, 1), "strings": (70, 150, 4, 4, 4),
    "piano": (60, 120, 4, 4, 4), "chip": (95, 190, 4, 4, 4), "march": (96, 140, 4, 2, 1),
    "five": (100, 175, 5, 2, 1), "jig": (90, 130, 4, 3, 1), "epic": (65, 140, 4, 4, 3),
    "breaks": (110, 150, 4, 4, 2), "guitar": (70, 150, 4, 4, 3),
}  # fmt: skip
WITHOUT_DRUMS = {"arpeggios": 0.75, "arpeggios in three": 0.75, "strings": 0.75, "piano": 0.75,
                 "guitar": 0.6, "epic": 0.3}  # fmt: skip

MAJOR = [0, 2, 4, 5, 7, 9, 11]
MINOR = [0, 2, 3, 5, 7, 8, 10]
CHORDS = {
    True: [[0, 5, 2, 6], [0, 6, 5, 6], [0, 3, 4, 0], [0, 0, 5, 6], [0, 3, 6, 2], [0, 0, 0, 0]],
    False: [[0, 5, 3, 4], [0, 3, 4, 3], [0, 4, 5, 3], [0, 0, 3, 3], [5, 3, 0, 4], [0, 2, 3, 4]],
}

# General MIDI: kick, snares, claps, hats, cymbals.
KICK, SNARES, CLAP, HAT, OPEN, RIDE, CRASH, RIM, SHAKER = 36, (38, 40), 39, 42, 46, 51, 49, 37, 70
TOMS = (41, 43, 45, 47, 50)
KITS = (0, 0, 0, 8, 16, 24, 25, 25, 32, 40, 48)

GUITARS, LOUD, KEYS = [24, 25, 26, 27], [28, 29, 30], [0, 1, 2, 4, 5]
STRINGS, SYNTHS = [44, 48, 49, 50, 51], [62, 63, 80, 81, 82, 83, 87, 88, 89, 90, 91, 95]
ORGANS, MALLETS = [16, 17, 18, 19], [9, 10, 11, 12, 46, 107]
LEADS = [73, 74, 40, 41, 56, 65, 66, 68, 71, 80, 81, 0, 11, 26, 29, 30, 52, 54, 75, 22]
SOUNDS = {
    "metal": LOUD, "punk": LOUD, "rock": GUITARS + LOUD + ORGANS, "strings": STRINGS + [45, 60, 61],
    "piano": [0, 0, 1, 2], "guitar": GUITARS, "chip": [80, 81, 80, 82], "trance": SYNTHS,
    "techno": SYNTHS, "house": SYNTHS + KEYS, "epic": STRINGS + [52, 60, 61],
    "jig": GUITARS + [21, 22, 46], "arpeggios": SYNTHS + MALLETS + KEYS + GUITARS,
}  # fmt: skip
PARTS = {
    "metal": ["chug", "riff", "pad"], "punk": ["chug", "riff"], "reggae": ["off-beat"],
    "rock": ["chug", "riff", "strum", "pad", "arpeggio"], "ska": ["off-beat"],
    "waltz": ["beats", "arpeggio", "pad"], "arpeggios": ["arpeggio"],
    "arpeggios in three": ["arpeggio"], "trance": ["arpeggio", "pad", "off-beat"],
    "piano": ["arpeggio", "beats", "riff"], "strings": ["pad", "arpeggio", "riff", "chug"],
    "guitar": ["strum", "arpeggio"], "jig": ["strum", "arpeggio", "pad"],
    "epic": ["pad", "arpeggio", "riff", "chug"],
}  # fmt: skip
ANY_PART = ["pad", "arpeggio", "riff", "strum", "beats", "off-beat"]
SYNTHETIC = {"house", "trance", "techno", "broken", "chip", "hip hop", "breaks", "arpeggios",
             "arpeggios in three"}  # fmt: skip


@dataclass
class Band:
    """A piece as it comes into being; places are in beats."""

    chance: object
    way: str = ""
    notes: list = field(default_factory=list)  # start s, end s, channel, note, velocity
    programs: dict = field(default_factory=dict)

    def __post_init__(self):
        chance = self.chance
        ways = list(WAYS)
        self.way = chance.choices(ways, [WAYS[w][4] for w in ways])[0]
        slow, quick, self.meter, self.grid, _ = WAYS[self.way]
        self.bpm = slow * (quick / slow) ** chance.random()
        self.uneven = 0 if chance.random() < 0.4 else chance.uniform(0.003, 0.014)
        minor = chance.random() < 0.6
        root = chance.randint(40, 51)
        self.scale = [root + step for step in (MINOR if minor else MAJOR)]
        self.progressions = [chance.choice(CHORDS[minor]) for _ in range(2)]
        self.bars_a_chord = chance.choice([1, 1, 1, 2, 0.5]) if self.meter == 4 else 1
        self.bars = int(SECONDS * self.bpm / 60 / self.meter) + 1
        self.section = chance.choice([4, 8, 8, 16])
        self.swing = self.drawn_swing()
        self.times = self.drawn_times()

    def drawn_swing(self):
        """Where the second half of a beat, or of a half, begins."""
        if self.grid == 2 and self.chance.random() < 0.35:
            return self.chance.uniform(0.55, 0.67)
        if self.way in ("hip hop", "house", "breaks") and self.chance.random() < 0.35:
            return self.chance.uniform(0.52, 0.6)
        return 0.5

    def drawn_times(self):
        drifts = self.chance.random() < 0.3
        at = 0.0 if self.chance.random() < 0.4 else self.chance.uniform(0, 2.5)
        times, walk = [], 0.0
        for _ in range(self.bars * self.meter + 1):
            times.append(at)
            if drifts:
                walk = 0.97 * walk + self.chance.gauss(0, 0.006)
            at += 60 / self.bpm * (1 + walk)
        return times

    def time(self, place):
        place = max(0, min(len(self.times) - 1, place))
        beat = int(place)
        if beat >= len(self.times) - 1:
            return self.times[-1]
        part = place - beat
        if self.grid == 2:
            part = self.swung(part)
        elif self.swing != 0.5:
            half = int(part * 2)
            part = (half + self.swung(part * 2 - half)) / 2
        return self.times[beat] + part * (self.times[beat + 1] - self.times[beat])

    def swung(self, part):
        if part < 0.5:
            return part * 2 * self.swing
        return self.swing + (part - 0.5) * 2 * (1 - self.swing)

    def add(self, place, length, channel, note, velocity):
        late = self.chance.gauss(0, self.uneven) if self.uneven else 0
        start = max(0, self.time(place) + late)
        loud = velocity + self.chance.gauss(0, 6 if self.uneven else 2)
        note, loud = max(0, min(127, int(note))), max(1, min(127, int(loud)))
        self.notes.append((start, max(start + 0.03, self.time(place + length)), channel, note, loud))

    def sections_with(self, likely):
        """In which sections a part plays: mostly as in the others."""
        usual = self.chance.random() < likely
        return [
            usual if self.chance.random() < 0.75 else self.chance.random() < likely
            for _ in range(self.bars // self.section + 1)
        ]

    def playing(self, likely):
        sections = self.sections_with(likely)
        return [bar for bar in range(self.bars) if sections[bar // self.section]]

    def chord(self, place):
        bar = place / self.meter
        chords = self.progressions[int(bar // self.section) % 2]
        return chords[int(bar / self.bars_a_chord) % len(chords)]

    def note(self, degree, octave):
        return self.scale[degree % 7] + 12 * (degree // 7 + octave)

    def some(self, likely, per_beat=4):
        """Some of a bar's places, each as likely."""
        places = (i / per_beat for i in range(self.meter * per_beat))
        return [place for place in places if self.chance.random() < likely]


def drum_bar(band):
    """A bar's hits: note, place, velocity."""
    chance, way = band.chance, band.way
    snare = chance.choice(SNARES)
    hits = []

    def hit(note, places, velocity):
        hits.extend((note, place, velocity) for place in places)

    def hats(note, apart, velocity, weak):
        for i in range(int(band.meter / apart)):
            strong = (i * apart) % 1 == 0 or chance.random() < 0.4
            hits.append((note, i * apart, velocity if strong else weak))

    if way in ("rock", "pop", "guitar", "breaks", "chip"):
        hit(KICK, {0, *([2] if chance.random() < 0.7 else [])}, 105)
        hit(KICK, [p for p in band.some(0.3, 2) if p not in (0, 1, 2, 3)], 105)
        hit(KICK, band.some(0.08), 105)
        hit(snare, (1, 3), 105)
        hit(snare, band.some(0.1), 45)
        hats(chance.choice([HAT, HAT, RIDE]), chance.choice([1, 0.5, 0.5, 0.5, 0.25]), 85, 62)
    elif way == "half time":
        hit(KICK, [0, *band.some(0.25, 2)], 105)
        hit(snare, [2], 110)
        hats(chance.choice([HAT, HAT, OPEN]), chance.choice([1, 0.5]), 80, 80)
    elif way == "punk":
        hit(KICK, [0, 2, *([1.5, 2.5] if chance.random() < 0.5 else [])], 108)
        hit(snare, [1, 3, *([0.5, 1.5, 2.5, 3.5] if chance.random() < 0.3 else [])], 108)
        hats(chance.choice([HAT, OPEN]), chance.choice([0.5, 0.5, 1]), 85, 85)
    elif way == "metal":
        per_beat = 4 if chance.random() < 0.4 else 2
        hit(KICK, band.some(0.75, per_beat), 100)
        hit(snare, (1, 3) if chance.random() < 0.6 else (2,), 112)
        hats(chance.choice([CRASH, RIDE, OPEN, HAT]), chance.choice([1, 0.5, 1]), 85, 85)
    elif way == "broken":
        hit(KICK, [0, chance.choice([2.5, 2.5, 2.75, 1.5])], 108)
        hit(KICK, [chance.choice([0.75, 1.75, 3.5])] if chance.random() < 0.4 else [], 85)
        hit(snare, (1, 3), 112)
        hit(snare, band.some(0.12), 50)
        hats(HAT, chance.choice([0.5, 0.5, 0.25]), 70, 70)
    elif way in ("house", "trance", "techno", "disco"):
        hit(KICK, range(4), 115)
        hit(chance.choice([CLAP, snare]), (1, 3) if chance.random() < 0.75 else (), 95)
        off = [beat + 0.5 for beat in range(4)] if chance.random() < 0.85 else []
        hit(chance.choice([OPEN, HAT]), off, 90)
        if chance.random() < 0.5:
            hats(chance.choice([HAT, HAT, SHAKER]), 0.25, 60, 60)
        hit(chance.choice([45, 62, 63, 75]), band.some(0.15) if chance.random() < 0.3 else [], 75)
    elif way == "hip hop":
        hit(KICK, [0, *band.some(0.16)], 105)
        hit(chance.choice([snare, CLAP]), (1, 3), 108)
        hats(HAT, chance.choice([0.5, 0.5, 0.25, 1]), 75, 75)
    elif way == "reggae":
        hit(KICK, [2], 110)
        hit(snare, [2], 95)
        hit(HAT, range(4), 60)
        hit(HAT, [beat + 0.5 for beat in range(4)], 85)
    elif way == "ska":
        hit(KICK, (0, 2), 95)
        hit(snare, (1, 3), 100)
        hit(OPEN, [beat + 0.5 for beat in range(4)], 90)
    elif way == "bossa":
        hit(KICK, (0, 1.5, 2, 3.5), 85)
        hit(RIM, chance.choice([(0, 0.75, 1.5, 2.5, 3.25), (0.5, 1.25, 2, 2.75, 3.5)]), 85)
        hats(chance.choice([HAT, SHAKER]), chance.choice([0.5, 0.25]), 60, 60)
    elif way in ("shuffle", "slow twelve", "jig"):
        hit(KICK, [0, *([2] if chance.random() < 0.7 else [])], 106)
        hit(KICK, [b + 2 / 3 for b in range(4) if chance.random() < 0.25], 92)
        hit(snare, (1, 3), 105)
        note = chance.choice([HAT, RIDE])
        hit(note, range(4), 85)
        hit(note, [b + 2 / 3 for b in range(4)], 68)
        thirds = way != "shuffle" or chance.random() < 0.3
        hit(note, [b + 1 / 3 for b in range(4)] if thirds else [], 60)
    elif way in ("waltz", "arpeggios in three"):
        hit(KICK, [0], 105)
        hit(chance.choice([snare, HAT, RIM]), (1, 2), 85)
        if chance.random() < 0.5:
            hats(HAT, 0.5, 65, 65)
    elif way == "march":
        hit(KICK, (0, 2), 105)
        hit(snare, (1, 3), 95)
        hit(snare, band.some(0.4, 2), 75)
        hit(snare, band.some(0.15), 60)
    elif way == "five":
        hit(KICK, [0, *([3] if chance.random() < 0.6 else [])], 105)
        hit(snare, [chance.choice([2, 3]), *([4] if chance.random() < 0.5 else [])], 96)
        hit(RIDE, range(5), 85)
        hit(RIDE, [beat + 0.5 for beat in range(5) if chance.random() < 0.5], 65)
    else:
        tom = chance.choice([41, 43, 45, KICK])
        hit(tom, [0], 118)
        hit(chance.choice([tom, tom, 45, 47]), band.some(0.55, 1), 100)
        hit(chance.choice([tom, 45, 47]), band.some(0.2), 85)
        hit(snare, [chance.choice([2, 3])] if chance.random() < 0.4 else [], 100)
    return [h for h in hits if h[1] < band.meter]


def drums(band):
    chance = band.chance
    band.programs[DRUMS] = chance.choice(KITS)
    bars = [drum_bar(band) for _ in range(3)]
    bare = [chance.random() < 0.08 for _ in range(band.bars // band.section + 1)]
    fills = chance.choice([0, 0.3, 0.8])
    for bar in band.playing(0.88):
        section = bar // band.section
        fill = bar % band.section == band.section - 1 and chance.random() < fills
        for note, place, velocity in bars[section % len(bars)]:
            silent = bare[section] and note in (KICK, *SNARES, CLAP)
            if not silent and not (fill and place >= band.meter - 1):
                band.add(bar * band.meter + place, 0.2, DRUMS, note, velocity)
        if fill:
            last = bar * band.meter + band.meter - 1
            for i in range(band.grid):
                if chance.random() < 0.85:
                    note = chance.choice([SNARES[0], *TOMS])
                    band.add(last + i / band.grid, 0.2, DRUMS, note, 95)
        if bar % band.section == 0 and chance.random() < 0.4:
            band.add(bar * band.meter, 1, DRUMS, CRASH, 100)


def bass_bar(band, kind):
    """A bar's places and lengths."""
    meter, grid, chance = band.meter, band.grid, band.chance
    if kind == "roots":
        return [(0, meter)]
    if kind in ("beats", "walk"):
        return [(i, 0.9) for i in range(meter)]
    if kind == "off-beat":
        return [(i + (2 / 3 if grid == 3 else 0.5), 0.35) for i in range(meter)]
    if kind == "halves":
        per_beat = 3 if grid == 3 else 2
        return [(i / per_beat, 0.8 / per_beat) for i in range(per_beat * meter)]
    if kind == "runs":
        return [(i / grid, 0.8 / grid) for i in range(grid * meter) if chance.random() < 0.93]
    sync = [(i / grid, 0.8 / grid) for i in range(1, grid * meter) if chance.random() < 0.3]
    return [(0, 0.5), *sync]


def bass(band):
    chance = band.chance
    sounds = [38, 39, 38, 81, 87] if band.way in SYNTHETIC else [32, 33, 33, 34, 35, 36, 43]
    band.programs[1] = chance.choice(sounds)
    kinds = {"trance": ["off-beat", "runs", "halves"], "metal": ["halves", "runs", "halves"],
             "punk": ["halves", "runs"], "waltz": ["roots", "beats"]}  # fmt: skip
    usual = ["roots", "halves", "runs", "off-beat", "syncopated", "beats", "walk"]
    kind = chance.choice(kinds.get(band.way, usual))
    bars = [bass_bar(band, kind) for _ in range(2)]
    for bar in band.playing(0.85):
        for place, length in bars[bar % 2]:
            at = bar * band.meter + place
            step = chance.choice([2, 4, 1, -1, 3]) if kind == "walk" and place else 0
            octave = 0 if chance.random() < 0.08 else -1
            band.add(at, length, 1, band.note(band.chord(at) + step, octave), 98)


def comping(band, channel, kinds, sounds, velocity, octave):
    """A part of chords or broken ones."""
    chance, meter, grid = band.chance, band.meter, band.grid
    band.programs[channel] = chance.choice(sounds)
    kind = chance.choice(kinds)
    riff = band.some(0.35, grid) or [0]
    order = chance.choice([[0, 2, 4, 7], [7, 4, 2, 0], [0, 4, 2, 4]])
    rate = chance.choice([grid, grid, 3 if grid == 3 else 2, 8 if band.way == "chip" else grid])
    per_beat = 3 if grid == 3 else 2

    def play(at, length, steps, loud, later=0.0):
        for i, step in enumerate(steps):
            note = band.note(band.chord(at) + step, octave)
            band.add(max(0, at + i * later), length, channel, note, loud)

    for bar in band.playing(0.75):
        start = bar * meter
        if kind == "pad":
            length = meter * band.bars_a_chord
            if band.bars_a_chord < 1:
                play(start, length * 0.98, (0, 2, 4), velocity - 15)
                play(start + meter / 2, length * 0.98, (0, 2, 4), velocity - 15)
            elif bar % band.bars_a_chord == 0:
                play(start, length * 0.98, (0, 2, 4), velocity - 15)
        elif kind == "arpeggio":
            for i in range(rate * meter):
                loud = velocity - (0 if i % rate == 0 else 8)
                play(start + i / rate, 0.9 / rate, [order[i % len(order)]], loud)
        elif kind == "riff":
            for place in riff:
                play(start + place, 0.8 / grid * chance.choice([1, 1, 2]), (0, 4, 7), velocity)
        elif kind == "chug":
            for i in range(per_beat * meter):
                loud = velocity - (0 if i % per_beat == 0 else 12)
                play(start + i / per_beat, 0.4, (-7, -3), loud)
        elif kind == "off-beat":
            for beat in range(meter):
                play(start + beat + (2 / 3 if grid == 3 else 0.5), 0.25, (0, 2, 4), velocity)
        elif kind == "beats":
            for beat in range(1 if band.way == "waltz" else 0, meter):
                play(start + beat, 0.6, (0, 2, 4), velocity - 8)
        else:
            for i in range(per_beat * meter):
                if i % per_beat == 0 or chance.random() >= 0.35:
                    later = 0.012 if i % 2 == 0 else -0.012
                    loud = velocity - (0 if i % per_beat == 0 else 14)
                    play(start + i / per_beat, 0.45, (-7, -3, 0, 2), loud, later)


def melody(band):
    chance, meter, grid = band.chance, band.meter, band.grid
    band.programs[7] = chance.choice(LEADS)
    velocity = chance.randint(75, 112)
    likely = lambda i: 0.7 if i == 0 else 0.5 if i % grid == 0 else 0.3
    motifs = [
        [i for i in range(grid * meter) if chance.random() < likely(i)] for _ in range(3)
    ]
    degree = 7
    for bar in band.playing(0.6):
        motif = motifs[(bar // 2) % 3]
        for i, end in zip(motif, [*motif[1:], grid * meter]):
            degree = max(5, min(16, degree + chance.choice([-2, -1, -1, 0, 1, 1, 2])))
            if i % grid == 0 and chance.random() < 0.5:
                degree = band.chord(bar * meter) + chance.choice([7, 9, 11])
            at = bar * meter + i / grid
            band.add(at, (end - i) / grid * 0.95, 7, band.note(degree, 1), velocity)


def band(chance):
    """A band's piece."""
    made = Band(chance)
    bare = chance.random() < WITHOUT_DRUMS.get(made.way, 0)
    if not bare:
        drums(made)
    if chance.random() < (0.5 if bare else 0.9):
        bass(made)
    usual = GUITARS + KEYS + STRINGS + SYNTHS + ORGANS + MALLETS
    kinds, sounds = PARTS.get(made.way, ANY_PART), SOUNDS.get(made.way, usual)
    for channel in range(2, 2 + chance.choice([1, 2, 2, 3])):
        comping(made, channel, kinds, sounds, chance.randint(60, 95), chance.choice([0, 1, 1, 2]))
    if chance.random() < 0.6:
        pads = STRINGS + SYNTHS + [52, 53, 54]
        comping(made, 6, ["pad"], pads, chance.randint(45, 75), chance.choice([0, 1]))
    if chance.random() < 0.65:
        melody(made)
    return made
