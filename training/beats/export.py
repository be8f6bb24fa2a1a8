"""Writes the numbers as the application reads them: export.py NET.pt BEAT-NET.bin.

Little-endian floats, each layer's weights (out, in, place) and then what is added; of the last
layer those of beats alone.
"""

import sys

import numpy as np
import torch
from network import Network

network = Network()
network.load_state_dict(torch.load(sys.argv[1]))
layers = [network.first, network.second, network.third]
for wide, mixed in zip(network.wide, network.mixed):
    layers += [wide, mixed]
numbers = []
for layer in layers:
    numbers += [layer.weight.detach().numpy().ravel(), layer.bias.detach().numpy()]
numbers += [network.last.weight.detach().numpy()[0].ravel(), network.last.bias.detach().numpy()[:1]]
np.concatenate(numbers).astype("<f4").tofile(sys.argv[2])
