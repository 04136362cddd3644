#!/usr/bin/python3
"""Makes core/src/test/resources/reference/posteriors.csv, once, with NumPy and SciPy from Debian.

The same data and the same model as the estimator of a leak rate, reckoned another way: offset and rate by
generalised least squares at each amount of settling, settling and its time constant by plain quadrature on
fine grids. The estimator does the settling in closed form and the time constant on 31 nodes.

Run from the root of the project:  /usr/bin/python3 core/src/test/reference/posteriors.py
"""
import numpy as np
from scipy import integrate, stats

ATMOSPHERE = 101.325
VAPOUR = 2.3393  # water at 20 degrees Celsius, kPa, steam tables
RATED = 110.0
KELVIN = 293.15


def lost(p, p0, air, hose):
    dry0 = p0 + ATMOSPHERE - VAPOUR
    return air * dry0 / (p + ATMOSPHERE - VAPOUR) - air - hose * (p - p0)


def slope(p, p0, air, hose):
    dry0 = p0 + ATMOSPHERE - VAPOUR
    return air * dry0 / (p + ATMOSPHERE - VAPOUR) ** 2 + hose


def gauge(volume, p0, air, hose):
    low, high = -90.0, 400.0
    for _ in range(200):
        middle = (low + high) / 2
        if lost(middle, p0, air, hose) > volume:
            low = middle
        else:
            high = middle
    return (low + high) / 2


def data(rng, times, p0, air, hose, q, law, a, tau, sigma, step):
    """Readings of a leak of rate q (mL/min at the rated pressure) with settling a."""
    power = {"seep": 1.0, "orifice": 0.5}[law]
    readings, out, p, before = [], 0.0, p0, 0.0
    for t in times:
        n = max(1, int(np.ceil(t - before)))
        for _ in range(n):
            out += q * (p / RATED) ** power * (t - before) / n / 60
            p = gauge(out, p0, air, hose)
        before = t
        shown = gauge(out + a * (1 - np.exp(-t / tau)), p0, air, hose)
        readings.append(round(step * round((shown + sigma * rng.standard_normal()) / step), 4))
    return np.array(readings)


def smooth(p):
    s = p.copy()
    s[1:-1] = (p[:-2] + p[1:-1] + p[2:]) / 3
    return s


def posterior(t, p, air, hose, sigma, p_step):
    p0 = p[0]
    y = lost(p, p0, air, hose)
    w = 1 / (sigma * slope(p, p0, air, hose))
    scale = 0.12 * hose * p_step + 0.004 * air
    zs = np.linspace(-3, 3, 241)
    amounts = np.linspace(0, 8 * scale, 2001)
    parts = []
    for law, power in (("seep", 1.0), ("orifice", 0.5)):
        f = (np.maximum(0, smooth(p)) / RATED) ** power
        g = integrate.cumulative_trapezoid(f, t / 60, initial=0)
        x = np.column_stack([np.ones_like(t), g]) * w[:, None]
        info = x.T @ x
        cov = np.linalg.inv(info)
        half = -0.5 * np.log(np.linalg.det(info))
        for z in zs:
            tau = np.exp(np.log(80) + 0.8 * z)
            s = 1 - np.exp(-t / tau)
            rest = (y[:, None] - s[:, None] * amounts[None, :]) * w[:, None]
            coef = cov @ (x.T @ rest)
            chi = np.sum((rest - x @ coef) ** 2, axis=0)
            log = half - 0.5 * chi + stats.halfnorm.logpdf(amounts, scale=scale) - 0.5 * z * z
            parts.append((law, log, coef[1], cov[1, 1]))
    most = max(part[1].max() for part in parts)
    mass = mean = square = 0.0
    by_law = {"seep": 0.0, "orifice": 0.0}
    for law, log, rate, variance in parts:
        e = np.exp(log - most)
        m = integrate.simpson(e, x=amounts)
        mass += m
        by_law[law] += m
        mean += integrate.simpson(e * rate, x=amounts)
        square += integrate.simpson(e * (rate**2 + variance), x=amounts)
    mean /= mass
    return mean, np.sqrt(square / mass - mean**2), by_law["seep"] / mass


def main():
    rng = np.random.default_rng(20261125)
    cases = [
        ("twelve hand readings, seep", np.arange(0, 721, 60.0), 150, 0.30, 0.5, "seep", 2.0, 90, 0.1),
        ("three readings", np.array([0, 300, 900.0]), 120, 0.25, 0.3, "seep", 1.0, 60, 0.1),
        ("two readings", np.array([0, 600.0]), 200, 0.30, 0.0, "seep", 2.0, 80, 0.1),
        ("short and dense", np.arange(0, 241, 5.0), 80, 0.20, 0.4, "seep", 1.5, 120, 0.1),
        ("long and dense", np.arange(0, 1801, 10.0), 150, 0.30, 0.05, "seep", 3.0, 80, 0.1),
        ("an orifice far down", np.arange(0, 1801, 15.0), 60, 0.15, 1.2, "orifice", 1.0, 60, 0.1),
        ("a seep far down", np.arange(0, 1801, 15.0), 60, 0.15, 1.2, "seep", 1.0, 60, 0.1),
        ("coarse gauge", np.arange(0, 1201, 60.0), 300, 0.45, 0.8, "seep", 4.0, 150, 1.7),
        ("tight", np.arange(0, 1501, 30.0), 100, 0.28, 0.0, "seep", 2.5, 70, 0.05),
    ]
    with open("core/src/test/resources/reference/posteriors.csv", "w", encoding="utf-8") as out:
        out.write("# made by core/src/test/reference/posteriors.py with NumPy and SciPy; do not edit\n")
        out.write("# name; air (mL); hose (mL/kPa); resolution (kPa); repeatability (kPa); mean (mL/min); sd (mL/min); weight of the seep; seconds; gauge (kPa)\n")
        for name, t, air, hose, q, law, a, tau, step in cases:
            repeat = step / 2
            sigma = float(np.hypot(step / np.sqrt(12), repeat))
            p = data(rng, t, RATED, air, hose, q, law, a, tau, repeat, step)
            mean, sd, seep = posterior(t, p, air, hose, sigma, p[0])
            out.write(
                f"{name}; {air}; {hose}; {step}; {repeat}; {mean:.6g}; {sd:.6g}; {seep:.5f}; "
                + " ".join(f"{v:g}" for v in t)
                + "; "
                + " ".join(f"{v:g}" for v in p)
                + "\n"
            )


main()
