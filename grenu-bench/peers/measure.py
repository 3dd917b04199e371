#!/usr/bin/env python3
"""Measures Grenu beside what a researcher would use instead, and writes the table of docs/performance.md.

    grenu-bench/peers/measure.py [--pairs N] [--only WORD] [--keep FOLDER] [--dry]

Each row is measured in pairs, one side after the other in turn, so that a slow minute meets both. What is told is the
median and the spread of the pairs' ratios; times stand beside them for the day's machine only. Needs, beside what
Grenu needs: python3-scipy python3-pandas r-base-core r-cran-lme4 r-cran-lmertest r-cran-car r-cran-emmeans xvfb, as Debian
packages them, and an interpreter that finds them (/usr/bin/python3).
"""

import argparse
import os
import re
import shutil
import signal
import statistics
import subprocess
import sys
import tempfile
import time
from datetime import date
from pathlib import Path

ROOT = Path(__file__).resolve().parents[2]
PEERS = ROOT / "grenu-bench" / "peers"
APP = ROOT / "grenu-launch" / "target" / "app"
LAUNCH = ROOT / "grenu-launch" / "target" / "grenu-launch-0.1.0.jar"
BENCH = f"{ROOT}/grenu-bench/target/grenu-bench-0.1.0.jar:{ROOT}/grenu-bench/target/lib/*"
PYTHON = "/usr/bin/python3"
WINDOW_SECONDS = 60


def taken(command, **more):
    """Wall s, processor s and peak memory MB of a whole process."""
    begin = time.perf_counter()
    process = subprocess.Popen(command, stdout=subprocess.DEVNULL, stderr=subprocess.DEVNULL, **more)
    _, status, usage = os.wait4(process.pid, 0)
    wall = time.perf_counter() - begin
    if os.waitstatus_to_exitcode(status) not in (0, 1):
        raise SystemExit(f"failed: {' '.join(map(str, command[:6]))} …")
    return wall, usage.ru_utime + usage.ru_stime, usage.ru_maxrss / 1024


def told(command):
    """The first number that a process prints."""
    out = subprocess.run(command, check=True, capture_output=True, text=True).stdout
    return float(out.split()[0])


def until(command, words, env):
    """Wall s from the command to the line with those words; the process is ended then."""
    begin = time.perf_counter()
    process = subprocess.Popen(command, stdout=subprocess.PIPE, stderr=subprocess.STDOUT, text=True, env=env,
                               start_new_session=True)
    for line in process.stdout:
        if words in line:
            break
        if time.perf_counter() - begin > WINDOW_SECONDS:
            raise SystemExit("the window did not stand in time")
    wall = time.perf_counter() - begin
    os.killpg(process.pid, signal.SIGKILL)
    process.wait()
    return wall


def java(main, *arguments):
    return ["java", "-Djava.awt.headless=true", "-XX:+UseSerialGC", "-cp", BENCH, main, *map(str, arguments)]


def steady(work, times, *file):
    return told(java("org.grenu.bench.peers.Steady", work, times, *file))


def spread(values, form="{:.1f}"):
    values = sorted(values)
    return f"{form.format(statistics.median(values))} ({form.format(values[0])}–{form.format(values[-1])})"


class Table:
    def __init__(self, pairs, only, folder):
        self.pairs = pairs
        self.only = only
        self.folder = folder
        self.rows = []

    def row(self, work, peer, ours, theirs, wanted, unit="ms"):
        """Ratio of the peer's time to ours."""
        if self.only and self.only not in work:
            return
        a, b = [], []
        for _ in range(self.pairs):
            a.append(ours())
            b.append(theirs())
        ratios = [y / x for x, y in zip(a, b)]
        self.add(work, f"{statistics.median(a):.3g} {unit}", f"{peer}: {statistics.median(b):.3g} {unit}",
                 spread(ratios, "{:.2f}") + " × as fast", wanted)

    def alone(self, work, values, wanted, form="{:.2f} ms"):
        if self.only and self.only not in work:
            return
        values = [values() for _ in range(self.pairs)]
        self.add(work, form.format(statistics.median(values)), "–", spread(values), wanted)

    def add(self, work, ours, theirs, ratio, wanted):
        self.rows.append((work, ours, theirs, ratio, wanted))
        print(" | ".join(self.rows[-1]), flush=True)

    def text(self):
        head = ["| work | Grenu | beside it | of the pairs: median (range) | wanted |", "|---|---|---|---|---|"]
        return "\n".join(head + ["| " + " | ".join(row) + " |" for row in self.rows])


def analysing(table):
    work = table.folder / "shots"
    subprocess.run(java("org.grenu.bench.LargeStudy", work, 1000), check=True, stdout=subprocess.DEVNULL)
    files = sorted(map(str, work.glob("*.csv")))
    ours = [str(ROOT / "grenu"), "analyse", "--format", "json", *files]
    theirs = [PYTHON, str(PEERS / "shots.py"), "analyse", *files]
    walls, processors = [], []
    if not table.only or table.only in "1 000 shots":
        a, b = [], []
        for _ in range(table.pairs):
            a.append(taken(ours))
            b.append(taken(theirs))
        walls = [y[0] / x[0] for x, y in zip(a, b)]
        processors = [y[1] / x[1] for x, y in zip(a, b)]
        middle = lambda rows, k: statistics.median(row[k] for row in rows)
        table.add("1 000 shots of 600 samples through `analyse`, whole process, wall", f"{middle(a, 0):.3g} s",
                  f"scipy: {middle(b, 0):.3g} s", spread(walls, "{:.2f}") + " × as fast", "≥ 3")
        table.add("the same, processor time", f"{middle(a, 1):.3g} s", f"scipy: {middle(b, 1):.3g} s",
                  spread(processors, "{:.2f}") + " × as fast", "≥ 1.2")
    table.row("one shot, steady state", "scipy", lambda: steady("shot", 1500, files[1]),
              lambda: told([PYTHON, str(PEERS / "shots.py"), "steady", files[1], "60"]), "≥ 3")
    if not table.only or table.only in "10 000 files":
        many = table.folder / "many"
        many.mkdir()
        for i in range(10):
            for file in files:
                os.link(file, many / f"{i}-{Path(file).name}")
        peak = taken([str(ROOT / "grenu"), "analyse", "--format", "json", *sorted(map(str, many.glob("*.csv")))])[2]
        table.add("peak memory of `analyse` over 10 000 files", f"{peak:.0f} MB", "–", "one run", "< 300 MB")


def comparing(table):
    subprocess.run(java("org.grenu.bench.peers.PeerData", table.folder / "data"), check=True)
    table.row("compare 200 shots, five responses, days at random", "R: lmer, car, emmeans",
              lambda: steady("compare", 25),
              lambda: told(["Rscript", str(PEERS / "compare.R"), str(table.folder / "data" / "shots.csv"), "3"]), "≥ 8")
    table.row("10 000 shuffles, 2 × 20 shots, three channels", "numpy, one BLAS thread",
              lambda: steady("curves", 25),
              lambda: told([PYTHON, str(PEERS / "shuffles.py"), str(table.folder / "data" / "curves.csv"), "5"]),
              "≥ 1.5")


def simulating(table):
    table.alone("one simulated 43 s shot", lambda: steady("simulate", 300), "≤ 1.5 ms")
    table.alone("the same as a preview", lambda: steady("preview", 1000), "≤ 0.3 ms")


def library(table, shots):
    path = table.folder / f"library-{shots}.sqlite"
    if not path.exists():
        subprocess.run(java("org.grenu.bench.LargeLibrary", "fill", path, shots), check=True,
                       stdout=subprocess.DEVNULL, stderr=subprocess.DEVNULL)
    return path


def starting(table):
    if table.only and table.only not in "start":
        return
    with Display() as display:
        env = dict(os.environ, DISPLAY=display, GRENU_LOG="INFO")
        small = library(table, 100)
        large = library(table, 10_000)
        own = lambda path: until([str(ROOT / "grenu"), "--library", str(path)], "laid out", env)
        empty = ["java", "--module-path", str(APP / "javafx"), "--add-modules", "javafx.graphics", "-cp",
                 str(ROOT / "grenu-bench" / "target" / "classes"), "org.grenu.bench.peers.EmptyWindow"]
        # The first window leaves the archive of classes.
        archive(env, small)
        three = [(own(small), until(empty, "laid out", env), own(large)) for _ in range(table.pairs)]
        a, b, c = ([row[k] for row in three] for k in range(3))
        table.add("start to the first laid-out picture, 100 shots", f"{statistics.median(a):.2f} s",
                  f"empty window: {statistics.median(b):.2f} s",
                  spread([x / y for x, y in zip(a, b)], "{:.2f}") + " × as long", "≤ 2")
        table.add("the same, 10 000 shots over 100", f"{statistics.median(c):.2f} s", f"{statistics.median(a):.2f} s",
                  spread([z / x for x, z in zip(a, c)], "{:.2f}") + " × as long", "≤ 1.1")


def archive(env, path):
    process = subprocess.Popen([str(ROOT / "grenu"), "--library", str(path)], env=env, stdout=subprocess.DEVNULL,
                               stderr=subprocess.DEVNULL, start_new_session=True)
    time.sleep(10)
    process.terminate()
    process.wait()


def hundred_thousand(table):
    if table.only and table.only not in "100 000":
        return
    path = library(table, 100_000)
    out = subprocess.run(java("org.grenu.bench.LargeLibrary", "all", path), check=True, capture_output=True,
                         text=True).stdout
    reading, memory = out.split()[:2]
    table.add("a library of 100 000 shots read whole, in a new process", f"{float(reading):.1f} s, {memory} MB held",
              "–", "one run", "< 5 s, < 500 MB")


class Display:
    def __enter__(self):
        self.process = subprocess.Popen(["Xvfb", ":87", "-screen", "0", "1400x900x24", "-nolisten", "tcp"],
                                        stderr=subprocess.DEVNULL)
        time.sleep(1)
        return ":87"

    def __exit__(self, *_):
        self.process.kill()


def write(text):
    page = ROOT / "docs" / "performance.md"
    begin, end = "<!-- beside others: begin -->", "<!-- beside others: end -->"
    old = page.read_text(encoding="utf-8")
    machine = f"Measured on {date.today():%d %B %Y}, {os.cpu_count()} cores, " \
              f"JDK {jdk()}.\n\n"
    new = re.sub(f"{begin}.*{end}", lambda _: f"{begin}\n{machine}{text}\n{end}", old, flags=re.S)
    beside = page.with_suffix(".md.new")
    beside.write_text(new, encoding="utf-8")
    os.replace(beside, page)


def jdk():
    version = subprocess.run(["java", "-version"], capture_output=True, text=True).stderr
    return re.search(r'"([^"]+)"', version).group(1)


def main():
    parser = argparse.ArgumentParser(description=__doc__, formatter_class=argparse.RawDescriptionHelpFormatter)
    parser.add_argument("--pairs", type=int, default=7)
    parser.add_argument("--only", default="", help="rows whose name holds this")
    parser.add_argument("--keep", type=Path, help="a folder for what is measured on, kept for the next time")
    parser.add_argument("--dry", action="store_true", help="print the table only")
    options = parser.parse_args()
    folder = options.keep or Path(tempfile.mkdtemp(prefix="grenu-peers-"))
    folder.mkdir(parents=True, exist_ok=True)
    for made in ("shots", "many", "data"):
        shutil.rmtree(folder / made, ignore_errors=True)
    table = Table(options.pairs, options.only, folder)
    for measured in (analysing, comparing, simulating, starting, hundred_thousand):
        measured(table)
    if not options.dry and not options.only:
        write(table.text())
    if not options.keep:
        shutil.rmtree(folder)


main()
