"""The network that hears beats; see README.md."""

import torch
from torch import nn

CHANNELS = 20
LAYERS = 10
BANDS = 40


class Network(nn.Module):
    """From bands of moments to the log odds of beats and downbeats."""

    def __init__(self):
        super().__init__()
        self.first = nn.Conv2d(1, CHANNELS, 3, padding=(1, 0))
        self.second = nn.Conv2d(CHANNELS, CHANNELS, 3, padding=(1, 0))
        self.third = nn.Conv2d(CHANNELS, CHANNELS, (1, 3))
        self.wide = nn.ModuleList(
            nn.Conv1d(CHANNELS, CHANNELS, 5, padding=2 << i, dilation=1 << i) for i in range(LAYERS)
        )
        self.mixed = nn.ModuleList(nn.Conv1d(CHANNELS, CHANNELS, 1) for _ in range(LAYERS))
        self.last = nn.Conv1d(CHANNELS, 2, 1)
        self.bend = nn.ELU()
        self.forget = nn.Dropout(0.1)
        self.forget_channels = nn.Dropout1d(0.1)

    def forward(self, bands):
        """bands: pieces, moments, bands. Gives pieces, (beats, downbeats), moments."""
        strongest = lambda x: nn.functional.max_pool2d(x, (1, 3))
        now = self.forget(strongest(self.bend(self.first(bands[:, None]))))
        now = self.forget(strongest(self.bend(self.second(now))))
        now = self.forget(self.bend(self.third(now)))[..., 0]
        for wide, mixed in zip(self.wide, self.mixed):
            now = now + mixed(self.forget_channels(self.bend(wide(now))))
        return self.last(self.bend(now))
