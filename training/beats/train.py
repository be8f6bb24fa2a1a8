"""Trains the network: train.py FOLDER MINUTES NET.pt [BEGIN.pt].

The folder holds what pieces.py made. From a network that is given it goes on at half the rate.
"""

import sys
import time
from pathlib import Path

import numpy as np
import torch
from network import BANDS, Network

LENGTH = 2048  # moments of a piece that are learnt from at once
BATCH = 8
MOMENTS_A_SECOND = 22_050 / 442
ONE_IN = 20  # pieces of which one is left out

chance = np.random.default_rng(1)
torch.manual_seed(1)


def load(file):
    piece = np.load(file)
    frames = piece["mel"].astype(np.float32)
    pairs = frames[: len(frames) // 2 * 2].reshape(-1, 2, BANDS).mean(1)
    return pairs, piece["beats"], piece["downs"]


def wanted(times, length, stretched):
    """1 at each time, a half beside it."""
    goal = np.zeros(length, np.float32)
    at = np.round((times * MOMENTS_A_SECOND - 0.25) * stretched).astype(int)
    for beside, value in ((-1, 0.5), (1, 0.5), (0, 1)):
        there = at + beside
        there = there[(there >= 0) & (there < length)]
        goal[there] = np.maximum(goal[there], value)
    return goal


def varied(bands):
    """Another tempo, level and colour of sound; sometimes some bands are missing."""
    stretched = np.exp(chance.uniform(-0.16, 0.16))
    places = np.arange(int(len(bands) * stretched)) / stretched
    before = np.minimum(places.astype(int), len(bands) - 2)
    share = np.minimum(places - before, 1)[:, None].astype(np.float32)
    bands = bands[before] * (1 - share) + bands[before + 1] * share
    if chance.random() < 0.7:
        colour = np.interp(np.arange(BANDS), np.linspace(0, BANDS - 1, 5), chance.uniform(-9, 9, 5))
        gain = 10 ** ((colour + chance.uniform(-12, 6)) / 20)
        bands = np.log1p(np.expm1(bands) * gain.astype(np.float32))
    if chance.random() < 0.3:
        first = chance.integers(0, BANDS - 4)
        bands[:, first : first + chance.integers(2, 9)] = 0
    return bands, stretched


def example(piece, learning):
    bands, beats, downbeats = piece
    stretched = 1.0
    if learning:
        bands, stretched = varied(bands)
    start = chance.integers(0, len(bands) - LENGTH) if learning and len(bands) > LENGTH else 0
    counts = np.ones(len(bands), np.float32)
    counts[int(beats[-1] * MOMENTS_A_SECOND * stretched) + 10 :] = 0
    goals = [wanted(times, len(bands), stretched) for times in (beats, downbeats)]
    out = []
    for row in (bands, *goals, counts):
        row = row[start : start + LENGTH]
        missing = [(0, LENGTH - len(row))] + [(0, 0)] * (row.ndim - 1)
        out.append(np.pad(row, missing).astype(np.float32))
    return out


def loss(network, pieces, learning):
    bands, beats, downbeats, counts = (
        torch.from_numpy(np.stack(rows)) for rows in zip(*(example(p, learning) for p in pieces))
    )
    odds = network(bands)
    off = torch.nn.functional.binary_cross_entropy_with_logits
    both = off(odds[:, 0], beats, reduction="none")
    both = both + 0.5 * off(odds[:, 1], downbeats, reduction="none")
    return (both * counts).sum() / counts.sum()


def main(folder, minutes, target, begin=None):
    files = sorted(Path(folder).glob("*.npz"))
    left_out = [load(f) for f in files if int(f.stem) % ONE_IN == 7]
    pieces = [load(f) for f in files if int(f.stem) % ONE_IN != 7]
    network = Network()
    if begin:
        network.load_state_dict(torch.load(begin))
    top = 1.6e-3 if begin else 3e-3
    steps = torch.optim.AdamW(network.parameters(), weight_decay=1e-3)
    start = time.time()
    done = 0.0
    while done < 1:
        network.train()
        losses = []
        order = chance.permutation(len(pieces))
        for at in range(0, len(order) - BATCH + 1, BATCH):
            done = min(1.0, (time.time() - start) / (60 * minutes))
            rate = top * min(1, done / 0.03 + 0.02) * (0.5 + 0.5 * np.cos(np.pi * done)) + 1e-5
            for group in steps.param_groups:
                group["lr"] = rate
            now = loss(network, [pieces[i] for i in order[at : at + BATCH]], True)
            steps.zero_grad()
            now.backward()
            torch.nn.utils.clip_grad_norm_(network.parameters(), 1)
            steps.step()
            losses.append(now.item())
        network.eval()
        with torch.no_grad():
            seen = [
                loss(network, left_out[at : at + BATCH], False).item()
                for at in range(0, len(left_out), BATCH)
            ]
        print(f"{done:.2f} learnt {np.mean(losses):.4f} left out {np.mean(seen):.4f}", flush=True)
        torch.save(network.state_dict(), target)


main(sys.argv[1], float(sys.argv[2]), *sys.argv[3:])
