"""Where the curves of two groups differ, by shuffled labels (max-T), in numpy with one BLAS thread.

    shuffles.py CURVES N     CURVES: a row a shot, its label (0 or 1), its block and the values; prints median ms and the p's
"""

import os

for name in ("OPENBLAS_NUM_THREADS", "MKL_NUM_THREADS", "OMP_NUM_THREADS"):
    os.environ[name] = "1"

import statistics
import sys
import time

import numpy as np

SHUFFLES = 10_000
FLOOR = 0.05


def test(values, labels, blocks, seed):
    random = np.random.default_rng(seed)
    z = values.copy()
    for block in np.unique(blocks):
        z[blocks == block] -= z[blocks == block].mean(axis=0)
    n = len(labels)
    squares = (z ** 2).sum(axis=0) + FLOOR ** 2 * (n - 1 - len(np.unique(blocks)))
    shuffled = np.empty((SHUFFLES, n))
    for block in np.unique(blocks):
        rows = np.flatnonzero(blocks == block)
        shuffled[:, rows] = random.permuted(np.tile(labels[rows], (SHUFFLES, 1)), axis=1)
    many = labels.sum()
    factor = 1 / many + 1 / (n - many)
    seen = (labels @ z) ** 2 * factor / squares
    sums = shuffled @ z
    largest = (sums * sums * (factor / squares)).max(axis=1)
    largest.sort()
    return (1 + SHUFFLES - np.searchsorted(largest, seen - 1e-12)) / (SHUFFLES + 1)


table = np.loadtxt(sys.argv[1], delimiter=",")
labels, blocks, values = table[:, 0], table[:, 1], table[:, 2:]
times = int(sys.argv[2])
taken = []
for k in range(2 * times):
    begin = time.perf_counter()
    p = test(values, labels, blocks, k)
    taken.append(1000 * (time.perf_counter() - begin))
print(statistics.median(taken[times:]), (p <= 0.05).sum(), p.min())
