#!/usr/bin/python3
"""Makes core/src/test/resources/reference/outside.csv from outside the project.

Water is asked of python3-iapws (IAPWS-95, IAPWS R12-08, ice Ih by R14-08), everything else is worked out anew
with SciPy: roots by bracketing, regressions by least squares, distributions by its tables. Nothing here reads or
repeats a line of the project; where a quantity is defined by an equation, the equation is solved, not the formula
copied. Both packages are Debian's: apt-get install python3-iapws python3-scipy

Run from the root of the project:  /usr/bin/python3 core/src/test/reference/outside.py
"""
import math

import numpy as np
from iapws import IAPWS95, _iapws
from scipy import integrate, optimize, stats

ATMOSPHERE = 101.325
PSI = 0.45359237 * 9.80665 / 0.0254**2 / 1000  # kPa, from pound, standard gravity and inch
WATER = "python3-iapws"
WORKED = "SciPy"
rows = []


def row(formula, inputs, expected, tolerance, unit, source):
    text = " ".join(f"{k}={v:.10g}" for k, v in inputs.items())
    rows.append(f"{formula}; {text}; {expected:.10g}; {tolerance:.3g}; {unit}; {source}")


def water():
    # the saturation line from the equation of state, which the industrial formula only approximates
    for kelvin in list(range(275, 640, 15)):
        p = 1000 * IAPWS95(T=kelvin, x=0).P
        row("saturation-pressure", {"kelvin": kelvin}, p, 4e-4 * p, "kPa", WATER + ", IAPWS-95")
    for kelvin in range(233, 273, 5):
        p = 1000 * _iapws._Sublimation_Pressure(kelvin)
        row("saturation-pressure", {"kelvin": kelvin}, p, 1e-4 * p, "kPa", WATER + ", IAPWS R14-08")
    for celsius in np.arange(10, 60.1, 2.5):
        beta = IAPWS95(T=celsius + 273.15, P=0.101325).alfav
        # linear between nodes ten and twenty kelvin apart: up to 3e-6 off the curve between them
        row("expansion", {"celsius": celsius, "strength": 0}, beta, 5e-6, "1/K", WATER + ", IAPWS-95")
    for name, celsius in (("viscosity-cold", 20), ("viscosity-hot", 90)):
        state = IAPWS95(T=celsius + 273.15, P=0.101325)
        mu = 1000 * _iapws._Viscosity(state.rho, celsius + 273.15)
        row(name, {"strength": 0}, mu, 2e-3 * mu, "mPa.s", WATER + ", IAPWS R12-08")
    for psi in (0, 4, 7, 10, 13, 16, 18, 20):
        p = (ATMOSPHERE + psi * PSI) / 1000
        t = optimize.brentq(lambda k: IAPWS95(T=k, x=0).P - p, 300, 500) - 273.15
        row("boiling-point", {"psi": psi, "strength": 0}, t, 0.05, "degC", WATER + ", IAPWS-95")


def gas(air, p0, p):
    """Volume that an air bubble gains from one gauge pressure to another."""
    return air * ((p0 + ATMOSPHERE) / (p + ATMOSPHERE) - 1)


def compliance():
    for ml, before, after, hose in ((20, 120, 100.81, 0.30), (15, 110, 95, 0.1), (30, 140, 118, 0.6)):
        air = optimize.brentq(lambda v: gas(v, before, after) + hose * (before - after) - ml, -500, 5000)
        row("single-draw-air", {"ml": ml, "before": before, "after": after, "hose": hose}, air, 0.05, "mL", WORKED)
    for air, hose, p0, p, t0, t in (
        (150, 0.30, 110, 104, 293.15, 292.65),
        (150, 0.30, 110, 104, 293.15, 293.15),
        (60, 0.1, 120, 90, 293.15, 294.0),
    ):
        # n moles stay in the bubble: its volume at the end from the gas law, the liquid's by its expansion
        moles = (p0 + ATMOSPHERE) * air / t0
        bubble = moles * t / (p + ATMOSPHERE)
        out = bubble - air + hose * (p0 - p) + 8000 * 4.1e-4 * (t - t0)
        row(
            "lost-volume",
            {"air": air, "hose": hose, "p0": p0, "p": p, "t0": t0, "t": t, "liquid": 8000, "expansion": 4.1e-4},
            out,
            5e-4,
            "mL",
            WORKED,
        )
    for p, minutes, drop, air, hose in ((150, 2, 10, 300, 0.30), (150, 2, 10, 150, 0.30), (150, 2, 10, 300, 0), (120, 5, 3, 90, 0.2)):
        lost, _ = integrate.quad(
            lambda g: air * (p + ATMOSPHERE) / (g + ATMOSPHERE) ** 2 + hose, p - drop, p, epsabs=1e-12
        )
        row("maker-rule", {"p": p, "minutes": minutes, "drop": drop, "air": air, "hose": hose}, lost / minutes, 5e-4, "mL/min", WORKED)
    draws = (110, 15, 98.471, 20, 84.562)
    equations = lambda x: (  # air and hoses that both draws agree with, each from where the one before ended
        gas(x[0], draws[0], draws[2]) + x[1] * (draws[0] - draws[2]) - draws[1],
        gas(x[0] * (draws[0] + ATMOSPHERE) / (draws[2] + ATMOSPHERE), draws[2], draws[4]) + x[1] * (draws[2] - draws[4]) - draws[3],
    )
    air, hose = optimize.fsolve(equations, (150, 0.2), xtol=1e-14)
    two = dict(zip(("p0", "ml1", "p1", "ml2", "p2"), draws))
    # the project keeps its prior of hoses among the data, which here weighs next to nothing beside them
    row("two-draws-hose", two, hose, 1e-3, "mL/kPa", WORKED)
    row("two-draws-air", two, air, 0.3, "mL", WORKED)
    row("two-draws-total", two, hose + air / (110 + ATMOSPHERE), 1e-3, "mL/kPa", WORKED)
    counts, shown = np.array([4, 8, 12, 16, 19]), np.array([25.5, 49.6, 72.3, 94.0, 109.7])
    # pumped in: free air of the strokes; where it is: the bubble as it was, squeezed, and the hoses
    design = np.column_stack([shown / ATMOSPHERE, shown * (shown + ATMOSPHERE) / ATMOSPHERE])
    before, hoses = np.linalg.lstsq(design, 15.0 * counts, rcond=None)[0]
    strokes = {"stroke": 15, **{f"n{i + 1}": float(counts[i]) for i in range(5)}, **{f"p{i + 1}": shown[i] for i in range(5)}}
    at110 = before + hoses * 110
    row("strokes-air-before", strokes, before, 0.05, "mL", WORKED + ", unweighted")
    row("strokes-hose", strokes, hoses, 5e-5, "mL/kPa", WORKED + ", unweighted")
    row("strokes-air-at-110", strokes, at110, 0.05, "mL", WORKED + ", unweighted")
    row("strokes-total-at-110", strokes, hoses + at110 / (110 + ATMOSPHERE), 5e-4, "mL/kPa", WORKED + ", unweighted")
    for to in (20, 40, 60, 80, 100, 110):
        moles = lambda g: (g + ATMOSPHERE) * (200 + 0.30 * g) / ATMOSPHERE
        row("free-air", {"air": 200, "hose": 0.30, "to": to}, moles(to) - moles(0), 5e-3, "mL", WORKED)


def decisions():
    for rate, p, density in ((1.0, 110, 1065), (0.61, 110, 1065), (5, 60, 1000)):
        speed = math.sqrt(2 * p * 1000 / density)
        area = rate * 1e-6 / 60 / 0.6 / speed  # discharge of a sharp edge
        row("hole", {"rate": rate, "p": p, "density": density}, 2000 * math.sqrt(area / math.pi), 5e-6, "mm", WORKED)
    k = stats.norm.ppf(0.95)
    for u0, r, thermal in ((0.02, 0.06, -0.10), (0.01, 0.2, 0), (0.05, 0.03, 0.2)):
        u = lambda q: math.sqrt(u0**2 + r**2 * (q - thermal) ** 2)
        for q in (0.03, 0.0, 0.2):
            upper = optimize.brentq(lambda x: x - q - 1.645 * math.sqrt(u0**2 + r**2 * (x - thermal) ** 2), q, q + 10)
            row("upper-limit", {"q": q, "u0": u0, "r": r, "thermal": thermal}, upper, 5e-5, "mL/min", WORKED)
        seen = optimize.brentq(lambda x: x - 1.645 * u(0) - 1.645 * u(x), 1e-9, 10)
        row("detection-limit", {"u0": u0, "r": r, "thermal": thermal}, seen, 5e-5, "mL/min", WORKED)
    assert abs(k - 1.645) < 5e-4
    for freedom in (2, 5, 10, 30):
        row("two-sigma-tail", {"freedom": freedom}, stats.t.ppf(0.95, freedom), 5e-4, "1", WORKED + ", Student's t")


def plans():
    """Detection limit of a planned hold: least squares with settling of usual size as prior knowledge."""
    air, hose, p, theta, u, noise = 150, 0.30, 110, 3.792, 0.005, math.sqrt(0.1**2 / 12 + 0.05**2)
    c = hose + air / (p + ATMOSPHERE)
    scale = 0.12 * hose * p + 0.004 * air  # what hoses and gas usually settle by, half normal
    usual, spread = stats.halfnorm.mean(scale=scale), stats.halfnorm.std(scale=scale)

    # slow creep of the hoses: share of what they give, prior, course in minutes
    shapes = (
        (1e-6, 0.50, lambda t: np.log10(1 + 3 * t)),
        (0.07, 0.25, lambda t: np.log10(1 + 3 * t)),
        (0.16, 0.125, lambda t: 1 - np.exp(-t / 6)),
        (0.16, 0.125, lambda t: 1 - np.exp(-3 * t / 50)),
    )

    def variance(z, minutes):
        tau = 80 / 60 * math.exp(0.8 * z)
        t = np.arange(minutes + 1.0)
        total = 0
        for share, prior, course in shapes:
            # offset, rate, size and logarithm of the time constant of settling, slow creep, linearised;
            # and the bend of a drift that is only known to be small (its scale over two time constants)
            jacobian = np.column_stack(
                [
                    np.full_like(t, c),
                    t,
                    1 - np.exp(-t / tau),
                    usual * (t / tau) * np.exp(-t / tau),
                    course(t),
                    t * (t - minutes),
                ]
            )
            crept = share * hose * p  # whether hoses creep at all is open too
            prior_information = [0, 0, spread**-2, 0.8**-2, crept**-2, (theta * u / 180) ** -2]
            information = jacobian.T @ jacobian / (c * noise) ** 2 + np.diag(prior_information)
            total += prior * np.linalg.inv(information)[1, 1]
        return total

    def detection(minutes):
        # three nodes of the prior of the time constant, as the plan is defined: all of it would promise
        # 5 to 10 % less, so the plan errs on the safe side
        nodes, weights = np.polynomial.hermite_e.hermegauss(3)
        fit = sum(w * variance(z, minutes) for z, w in zip(nodes, weights)) / math.sqrt(2 * math.pi)
        return 2 * 1.645 * math.sqrt(fit + (theta * u) ** 2)

    sizes = {"air": air, "hose": hose, "p": p, "theta": theta, "u": u}
    for minutes in (8, 12, 13, 25):
        found = detection(minutes)
        row("plan-detection", {**sizes, "minutes": minutes}, found, 5e-5, "mL/min", WORKED)
    shortest = next(m for m in range(2, 121) if detection(m) <= 0.1)
    row("plan-minutes", {**sizes, "accept": 0.1}, shortest, 0, "min", WORKED)


def balances():
    """A drop is 50 microlitres, known to a quarter; drops of one place and another are off together."""
    for rate, u, one, two, caught, minutes, cu in ((0.61, 0.05, 4, 2, 1, 10, 0.01), (2, 0.1, 12, 0.5, 30, 20, 0.02)):
        sizes = {"rate": rate, "u": u, "drops1": one, "drops2": two, "caught": caught, "minutes": minutes, "cu": cu}
        gradient = np.array([1, -one - two, -1.0])  # of what is unexplained, by rate, size of a drop and catch
        covariance = np.diag([u**2, (0.25 * 0.05) ** 2, cu**2])
        left = rate - 0.05 * (one + two) - caught / minutes
        spread = math.sqrt(gradient @ covariance @ gradient)
        row("balance-unexplained", sizes, left, 5e-5, "mL/min", WORKED)
        row("balance-u", sizes, spread, 5e-6, "mL/min", WORKED)
        row("balance-critical", sizes, 1.645 * spread, 5e-5, "mL/min", WORKED)


water()
compliance()
decisions()
plans()
balances()
with open("core/src/test/resources/reference/outside.csv", "w", encoding="utf-8") as out:
    out.write("# made by core/src/test/reference/outside.py with python3-iapws and SciPy; do not edit\n")
    out.write("\n".join(rows) + "\n")
print(len(rows), "rows")
