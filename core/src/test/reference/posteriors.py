#!/usr/bin/python3
"""Makes core/src/test/resources/reference/posteriors.csv, once, with NumPy and SciPy from Debian.

The same data and the same model as the estimator of a leak rate, reckoned another way: offset and rate by
generalised least squares at each amount of settling and of slow creep, those two and the time constant of
the settling by plain quadrature on fine grids that close in on where the probability is. The estimator
does the settling in closed form, the slow creep by twelve points and the time constant on 21 nodes.

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


# how hoses creep on: name, scale of the share of what they give, prior, course in seconds
SHAPES = (
    ("none", 1e-6, 0.50, lambda t: np.log10(1 + t / 20)),
    ("logarithm", 0.07, 0.25, lambda t: np.log10(1 + t / 20)),
    ("minutes", 0.16, 0.125, lambda t: 1 - np.exp(-t / 360)),
    ("quarter", 0.16, 0.125, lambda t: 1 - np.exp(-t / 1000)),
)


def summed(log, low, high, points=161, deep=30):
    """Integrals over a box in two amounts, neither negative, that closes in on the probability."""
    low, high = np.array(low, float), np.array(high, float)
    for _ in range(8):
        a, b = (np.linspace(low[i], high[i], points) for i in range(2))
        value = log(a[:, None], b[None, :])
        kept = np.argwhere(value > value.max() - deep)
        first, last = kept.min(axis=0), kept.max(axis=0)
        width = (high - low) / (points - 1)
        closer_low = np.maximum(low, low + (first - 1) * width)
        closer_high = np.minimum(high, low + (last + 1) * width)
        if np.all(closer_high - closer_low > 0.8 * (high - low)):
            break
        low, high = closer_low, closer_high
    most = value.max()
    e = np.exp(value - most)

    def integral(f):
        return integrate.simpson(integrate.simpson(f, x=b, axis=1), x=a)

    return most, e, a, b, integral


def posterior(t, p, air, hose, sigma, p_step):
    p0 = p[0]
    y = lost(p, p0, air, hose)
    w = 1 / (sigma * slope(p, p0, air, hose))
    scale = 0.12 * hose * p_step + 0.004 * air
    low, high = -3.0, 3.0
    for _ in range(6):
        zs = np.linspace(low, high, 61)
        parts = over(zs, t, p, y, w, hose, scale, p_step)
        best = np.array([max(part[2] for part in parts if part[0] == z) for z in zs])
        kept = np.flatnonzero(best > best.max() - 22)
        spacing = zs[1] - zs[0]
        closer = max(low, zs[kept[0]] - spacing), min(high, zs[kept[-1]] + spacing)
        if closer[1] - closer[0] > 0.7 * (high - low):
            break
        low, high = closer
    most = max(part[2] for part in parts)
    mass = mean = square = 0.0
    by_law = {"seep": 0.0, "orifice": 0.0}
    for _, law, log, whole, first, second in parts:
        e = np.exp(log - most)
        mass += e * whole
        by_law[law] += e * whole
        mean += e * first
        square += e * second
    mean /= mass
    return mean, np.sqrt(square / mass - mean**2), by_law["seep"] / mass


def over(zs, t, p, y, w, hose, scale, p_step):
    """Integrals at each time constant, law and shape: z, law, greatest logarithm, mass, first, second moment."""
    parts = []
    for law, power in (("seep", 1.0), ("orifice", 0.5)):
        f = (np.maximum(0, smooth(p)) / RATED) ** power
        g = integrate.cumulative_trapezoid(f, t / 60, initial=0)
        x = np.column_stack([np.ones_like(t), g]) * w[:, None]
        cov = np.linalg.inv(x.T @ x)
        half = 0.5 * np.log(np.linalg.det(cov))

        def apart(column):
            """A column without what offset and rate explain of it, and the rate they explain it by."""
            coefficients = cov @ (x.T @ (column * w))
            return column * w - x @ coefficients, coefficients[1]

        rest, rate = apart(y)
        for z in zs:
            settles, settles_rate = apart(1 - np.exp(-t / np.exp(np.log(80) + 0.8 * z)))
            for _, share, prior, course in SHAPES:
                crept = course(t)
                creeps, creeps_rate = apart(crept - crept[0])
                most_b = share * hose * p_step
                q = [rest @ rest, settles @ settles, creeps @ creeps, rest @ settles, rest @ creeps, settles @ creeps]

                def log(a, b):
                    chi = q[0] + a * a * q[1] + b * b * q[2] - 2 * a * q[3] - 2 * b * q[4] + 2 * a * b * q[5]
                    return (
                        half - 0.5 * chi + stats.halfnorm.logpdf(a, scale=scale)
                        + stats.halfnorm.logpdf(b, scale=most_b) - 0.5 * z * z + np.log(prior)
                    )

                most, e, a, b, integral = summed(log, (0, 0), (9 * scale, 9 * most_b))
                m = rate - a[:, None] * settles_rate - b[None, :] * creeps_rate
                parts.append((z, law, most, integral(e), integral(e * m), integral(e * (m * m + cov[1, 1]))))
    return parts


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
