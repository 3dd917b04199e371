"""Measures shot files as a researcher would by hand: pandas for the files, scipy for smoothing and fits.

    shots.py analyse FILE…     one JSON object a file, on standard output
    shots.py steady FILE N     measures one file N times, after N to warm up; prints the median in ms

For each shot: spikes and knocks taken out, curves on a grid of 0.1 s, smoothed flow, first drip by a broken line, pump on
and off, phases by pressure, resistance and its trend, channel sign as a broken line in the resistance, extraction yield
with its uncertainty by propagation, a few findings. Its numbers are not those of Grenu to the digit: it stands for the
work, not for the method.
"""

import io
import json
import statistics
import sys
import time

import numpy as np
import pandas as pd
from scipy.ndimage import median_filter
from scipy.signal import savgol_filter
from scipy.stats import linregress

STEP = 0.1


def read(path):
    with open(path, encoding="utf-8") as file:
        text = file.read()
    record = {}
    at = 0
    while text.startswith("#", at):
        end = text.index("\n", at)
        key, _, value = text[at + 1:end].partition(":")
        record[key.strip()] = value.strip()
        at = end + 1
    return record, pd.read_csv(io.StringIO(text[at:]))


def despiked(values):
    middle = median_filter(values, 5)
    off = np.abs(values - middle)
    spread = 1.4826 * np.median(off) + 1e-3
    return np.where(off > 8 * spread, middle, values)


def unknocked(mass):
    """A scale that was knocked shows a step that no flow can make."""
    steps = np.diff(mass)
    usual = median_filter(steps, 9)
    knocks = np.abs(steps - usual) > 2
    return mass - np.concatenate([[0], np.cumsum(np.where(knocks, steps - usual, 0))])


def broken_line(t, y, slope_before=None):
    """The break of two straight lines that meet: least squares at every place, all at once."""
    n = len(t)
    places = np.arange(4, n - 4)
    if len(places) == 0:
        return np.nan, np.nan
    ones = np.ones(n)
    after = np.maximum(0, t[None, :] - t[places][:, None])
    if slope_before is None:
        x = np.stack([np.broadcast_to(ones, after.shape), np.broadcast_to(t, after.shape), after], axis=2)
    else:
        x = np.stack([np.broadcast_to(ones, after.shape), after], axis=2)
    xtx = np.einsum("kij,kil->kjl", x, x)
    xty = np.einsum("kij,i->kj", x, y)
    beta = np.linalg.solve(xtx + 1e-12 * np.eye(x.shape[2]), xty[..., None])[..., 0]
    rest = y @ y - np.einsum("kj,kj->k", beta, xty)
    best = int(np.argmin(rest))
    return t[places[best]], rest[best]


def phases(t, pressure, drip, off):
    slope = savgol_filter(pressure, 9, 2, deriv=1, delta=STEP)
    highest = pressure[t <= off].max()
    building = np.argmax(pressure > 0.6)
    reached = np.argmax(pressure > 0.95 * highest)
    running = (t >= t[reached]) & (t <= off)
    taper = broken_line(t[running][::2], pressure[running][::2])[0] if running.sum() > 40 else np.nan
    borders = {"wetting": 0.0, "ramp": float(t[building]), "main": float(t[reached]), "taper": float(taper),
               "drip_out": float(off)}
    means = {}
    edges = sorted(v for v in borders.values() if v == v) + [float(t[-1])]
    for a, b in zip(edges, edges[1:]):
        inside = (t >= a) & (t < b)
        if inside.sum() > 2:
            fit = linregress(t[inside], pressure[inside])
            means[f"{a:.1f}"] = [float(pressure[inside].mean()), float(fit.slope), float(slope[inside].mean())]
    return borders, means


def hydraulics(t, pressure, flow, drip, off):
    inside = (t > drip + 1) & (t < off - 0.5) & (flow > 0.2)
    if inside.sum() < 20:
        return {}
    resistance = pressure[inside] / flow[inside]
    when = t[inside]
    smooth = savgol_filter(resistance, 11, 2)
    top = int(np.argmax(smooth))
    fit = linregress(when[top:], np.log(smooth[top:])) if len(when) - top > 10 else None
    sign, rest = broken_line(when[::2], np.log(resistance[::2]))
    straight = linregress(when, np.log(resistance))
    rss = ((np.log(resistance) - straight.intercept - straight.slope * when) ** 2).sum()
    return {"peak": float(smooth[top]), "peak_at": float(when[top]),
            "erosion": -100 * float(fit.slope) if fit else None, "u": 100 * float(fit.stderr) if fit else None,
            "sign_at": float(sign), "sign": float(rss / max(rest, 1e-12))}


def yield_of(record):
    dose = float(record.get("dose_g") or "nan")
    beverage = float(record.get("beverage_g") or "nan")
    readings = np.array([float(v) for v in record.get("strength_readings_pct", "").split(";") if v.strip()])
    if len(readings) == 0 or not dose > 0 or not beverage > 0:
        return {}
    strength = readings.mean()
    u_strength = np.hypot(max(readings.std(ddof=1) if len(readings) > 1 else 0, 0.015) / np.sqrt(len(readings)), 0.03)
    u_mass = 0.1 / np.sqrt(12)
    value = strength * beverage / dose
    parts = np.array([u_strength / strength, u_mass / beverage, u_mass / dose])
    u = value * np.sqrt((parts ** 2).sum())
    return {"ey": float(value), "u": float(u), "budget": (parts ** 2 / (parts ** 2).sum()).tolist()}


def findings(moments, ey, hydraulic):
    found = []
    if ey and ey["ey"] < 18:
        found.append("low yield")
    if hydraulic.get("sign", 0) > 1.5:
        found.append("channel sign")
    if moments["time"] < 18:
        found.append("fast")
    return found


def measured(record, log):
    seconds = log["time [s]"].to_numpy()
    grid = np.arange(0, seconds[-1] + STEP / 2, STEP)
    pressure = np.interp(grid, seconds, despiked(log["pressure [bar]"].to_numpy()))
    mass = np.interp(grid, seconds, unknocked(despiked(log["cup mass [g]"].to_numpy())))
    pump = np.interp(grid, seconds, log["pump flow [mL/s]"].to_numpy())
    mass = mass - np.median(mass[:10])
    flow = savgol_filter(mass, 15, 2, deriv=1, delta=STEP)
    smooth = savgol_filter(pressure, 7, 2)
    rises = int(np.argmax(mass > 1.5))
    window = slice(max(0, rises - 60), rises + 20)
    drip = broken_line(grid[window], mass[window], slope_before=0)[0]
    running = np.flatnonzero(pump > 0.3)
    off = grid[running[-1]] if len(running) else grid[-1]
    still = np.flatnonzero(flow > 0.05)
    moments = {"drip": float(drip), "off": float(off), "last": float(grid[still[-1]]) if len(still) else None,
               "time": float(off), "end": float(np.median(mass[-5:]))}
    borders, means = phases(grid, smooth, drip, off)
    hydraulic = hydraulics(grid, smooth, flow, drip, off)
    ey = yield_of(record)
    return {"moments": moments, "phases": borders, "means": means, "hydraulics": hydraulic, "yield": ey,
            "findings": findings(moments, ey, hydraulic), "peak": float(smooth.max())}


def main():
    if sys.argv[1] == "analyse":
        for path in sys.argv[2:]:
            result = measured(*read(path))
            result["file"] = path
            json.dump(result, sys.stdout)
            sys.stdout.write("\n")
        return
    path, times = sys.argv[2], int(sys.argv[3])
    taken = []
    for _ in range(2 * times):
        begin = time.perf_counter()
        measured(*read(path))
        taken.append(1000 * (time.perf_counter() - begin))
    print(statistics.median(taken[times:]))


main()
