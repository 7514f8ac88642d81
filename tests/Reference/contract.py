"""Answers the computing contract a second time, on SciPy, NumPy and uncertainties, from its formulae alone.

Reads [{"job", "input"}, ...] and prints the answers that can be computed independently (null for the rest).
Constants: scipy.constants (CODATA); interpolation: scipy PchipInterpolator; lines: numpy.polyfit; combined
uncertainty: the package uncertainties, by propagation through the measurement model rather than by adding parts.
"""
import json
import math
import sys

import numpy as np
from scipy.constants import R, physical_constants
from scipy.interpolate import PchipInterpolator
from uncertainties import ufloat

F = physical_constants["Faraday constant"][0]
TABLES = {}


def kelvin(t):
    return t + 273.15


def k(t):
    return 1000 * R * kelvin(t) * math.log(10) / F


def buffer(i):
    table = i.get("table") or TABLES[i["buffer"]]
    x, y = zip(*table)
    return float(np.interp(i["temperature_c"], x, y) if len(x) == 2 else PchipInterpolator(x, y)(i["temperature_c"]))


def point_ph(p):
    return p["buffer_ph"] if "buffer_ph" in p else buffer(p)


def lines(c):
    """[(from, to, offset, share)] by solving each two-point system, or by polyfit."""
    pts = sorted((point_ph(p), p["mv"], p["temperature_c"]) for p in c["points"])
    lever = [-k(t) * (ph - 7) for ph, _, t in pts]
    mv = [m for _, m, _ in pts]
    if len(pts) == 1:
        return pts, [(pts[0][0], pts[0][0], mv[0] - lever[0], 1.0)]
    if c.get("fit", "segments") == "least-squares":
        share, offset = np.polyfit(lever, mv, 1)
        return pts, [(pts[0][0], pts[-1][0], offset, share)]
    found = []
    for n in range(len(pts) - 1):
        offset, share = np.linalg.solve([[1, lever[n]], [1, lever[n + 1]]], mv[n:n + 2])
        found.append((pts[n][0], pts[n + 1][0], offset, share))
    return pts, found


def read(c, mv, t):
    pts, segments = lines(c)
    answers = [7 + (a - mv) / (g * k(t)) for _, _, a, g in segments]
    index = next((n for n, s in enumerate(segments) if s[0] - 1e-9 <= answers[n] <= s[1] + 1e-9), None)
    if index is None:
        gap = next((n for n in range(len(segments) - 1) if answers[n] > segments[n][1] and answers[n + 1] < segments[n + 1][0]), None)
        index = gap if gap is not None else 0 if answers[0] < segments[0][0] else len(segments) - 1
    ph = answers[index]
    out = max(0, pts[0][0] - ph, ph - pts[-1][0])
    return {"ph": ph, "segment": index, "inside_bracket": out <= 1e-9, "outside_by_ph": 0 if out <= 1e-9 else out}


def calibration(i):
    pts, segments = lines(i)
    if any(abs(s[3]) < 1e-12 for s in segments):
        return None
    t = float(np.mean([p[2] for p in pts]))
    neutral = next((s for s in segments if s[1] >= 7 - 1e-9), segments[-1])
    own = [segments[min(n, len(segments) - 1)] for n in range(len(pts))]
    residuals = [7 + (s[2] - mv) / (s[3] * k(c)) - ph for s, (ph, mv, c) in zip(own, pts)]
    return {
        "reference_temperature_c": t,
        "segments": [{"from_ph": a, "to_ph": b, "offset_mv": o, "slope_percent": 100 * g, "slope_mv_per_ph": -g * k(t)} for a, b, o, g in segments],
        "offset_mv": neutral[2],
        "zero_point_ph": 7 + neutral[2] / (neutral[3] * k(t)),
        "residuals": [{"buffer_ph": p[0], "residual_ph": r} for p, r in zip(pts, residuals)],
        "checks": [{"buffer_ph": point_ph(p), "error_ph": read(i, p["mv"], p["temperature_c"])["ph"] - point_ph(p)} for p in i.get("check_points", [])],
    }


def uncertainty(i):
    """The pH told by the line through two uncertain buffers, plus every other effect as an uncertain zero."""
    rep = i["repeatability"]
    values = rep.get("values")
    n = len(values) if values else rep["n"]
    s = rep.get("sd", 0) if not values else (float(np.std(values, ddof=1)) if n > 1 else 0)
    a, b = i["buffers"]
    where = (i["ph"] - a["ph"]) / (b["ph"] - a["ph"])
    first, second = ufloat(a["ph"], a["expanded_u"] / 2), ufloat(b["ph"], b["expanded_u"] / 2)
    uniform = lambda half: ufloat(0, half / math.sqrt(3))
    kelvins = ufloat(kelvin(i["temperature_c"]), i["temperature_expanded_u_c"] / 2)
    tc = i.get("calibration_temperature_c")
    effects = [
        uniform(i["resolution"] / 2), ufloat(0, max(s, i.get("pooled_sd", 0)) / math.sqrt(n)), uniform(i["drift_limit_ph"]), ufloat(0, i.get("fit_u", 0)),
        uniform(0.5 * abs(1 - kelvin(tc) / kelvin(i["temperature_c"])) if tc is not None else 0), uniform(0.05 * i.get("outside_by_ph", 0)), ufloat(0, i.get("matrix_u", 0)),
    ]
    ph = first + where * (second - first) + sum(effects)
    # The electrode's answer (pH - 7) scales with the temperature; its nominal value is kept apart from the buffers'.
    ph += (i["ph"] - 7) * (kelvins / kelvins.nominal_value - 1)
    return {"u": ph.std_dev, "expanded_u": 2 * ph.std_dev}


def settle(i):
    s, band, window = np.array(i["samples"], float), i.get("band", 0.02), i.get("window_s", 30)
    def win(t):
        return s[(s[:, 0] >= t - window - 1e-9) & (s[:, 0] <= t)]
    def still(t):
        return s[0, 0] <= t - window + 1e-9 and np.ptp(win(t)[:, 1]) <= band + 1e-9
    last = win(s[-1, 0])
    response = None
    if still(s[-1, 0]):
        for t in s[:, 0]:
            if np.all(np.abs(s[s[:, 0] >= t][:, 1] - last[:, 1].mean()) <= band / 2 + 1e-9):
                response = t
                break
    return {
        "settled": bool(still(s[-1, 0])),
        "settled_at_s": next((t for t in s[:, 0] if still(t)), None),
        "drift_per_min": None if len(last) < 2 else np.polyfit(last[:, 0] - last[0, 0], last[:, 1], 1)[0] * 60,
        "range_in_window": np.ptp(last[:, 1]),
        "response_s": response,
    }


def decide(i):
    outcomes, overall = [], "accept"
    for l in i["limits"]:
        low, high = l.get("low", -math.inf), l.get("high", math.inf)
        if "value" in l:
            low, high = (-math.inf, l["value"]) if "<" in l["op"] else (l["value"], math.inf)
        margin = min(i["value"] - low, high - i["value"])
        binds = l["kind"] in ("critical", "legal")
        u = i["expanded_u"] if binds and i.get("rule", "guarded") == "guarded" else 0
        strict = l["op"] in ("<", ">")
        inside = margin > u + 1e-9 if strict else margin >= u - 1e-9
        outside = margin <= -u + 1e-9 if strict else margin < -u - 1e-9
        outcomes.append({"name": l["name"], "outcome": "inside" if inside else "outside" if outside else "inconclusive", "margin": margin})
        if not inside and overall != "hold":
            overall = "hold" if binds else "review"
    return {"outcomes": outcomes, "overall": overall}


def recognise(i):
    apparent = read(i["last_calibration"], i["mv"], i["temperature_c"])["ph"] if "last_calibration" in i else 7 - i["mv"] / k(i["temperature_c"])
    d = sorted(((apparent - buffer({"buffer": b, "temperature_c": i["temperature_c"]}), b) for b in i["candidates"]), key=lambda x: abs(x[0]))
    near = 0.25 if "last_calibration" in i else 0.5
    sure = abs(d[0][0]) <= near + 1e-9 and (len(d) == 1 or abs(d[1][0]) - abs(d[0][0]) >= 0.3 - 1e-9)
    return {"apparent_ph": apparent, "recognised": d[0][1] if sure else None}


def plan(i):
    """Every pair of usable buffers, ranked by what the rules name; one bottle of each buffer."""
    span = i.get("minimum_span", 2.8)
    low, high = min(r[0] for r in i["expected_ph"]), max(r[1] for r in i["expected_ph"])
    usable = {}
    for lot in sorted(i["lots"], key=lambda l: (l["expires_on"], l["id"])):
        if lot["expires_on"] >= i["on"] and lot["uses_left"] > 0:
            usable.setdefault(lot["buffer"], lot)
    lots = sorted(usable.values(), key=lambda l: l["nominal_ph"])
    pairs = [
        (round(max(0, a["nominal_ph"] - low) + max(0, high - b["nominal_ph"]), 9), round(b["nominal_ph"] - a["nominal_ph"], 9), a["nominal_ph"], n, a, b)
        for n, a in enumerate(lots) for b in lots if b["nominal_ph"] > a["nominal_ph"] and b["nominal_ph"] - a["nominal_ph"] >= span - 1e-9
    ]
    if not pairs:
        return {"points": [], "brackets": False, "outside_by_ph": None}
    *_, a, b = min(pairs, key=lambda p: p[:4])
    points = [a, b]
    middle = min(lots, key=lambda l: (round(abs(l["nominal_ph"] - 7), 9), l["nominal_ph"]))
    m = middle["nominal_ph"]
    if low < m < high and a["nominal_ph"] < m < b["nominal_ph"] and min(m - a["nominal_ph"], b["nominal_ph"] - m) >= 0.5 - 1e-9:
        points.insert(1, middle)
    outside = [max(0.0, a["nominal_ph"] - low), max(0.0, high - b["nominal_ph"])]
    return {"points": [{"lot": p["id"]} for p in points], "brackets": max(outside) <= 1e-9, "outside_by_ph": outside}


JOBS = {
    "buffer-plan": plan,
    "nernst-slope": lambda i: {"mv_per_ph": k(i["temperature_c"])},
    "buffer-ph": lambda i: {"ph": buffer(i)},
    "ph-calibration": calibration,
    "ph-from-mv": lambda i: read(i["calibration"], i["mv"], i.get("compensation_temperature_c", i["temperature_c"])),
    "recognise-buffer": recognise,
    "settle": settle,
    "compensation-error": lambda i: {"error_ph": 7 + (k(i["sample_temperature_c"]) / k(i["compensation_temperature_c"])) * (i["ph"] - 7) - i["ph"]},
    "ph-uncertainty": uncertainty,
    "decide": decide,
}

given = json.load(sys.stdin)
TABLES.update(given["tables"])
plain = lambda v: v.item() if isinstance(v, np.generic) else v
print(json.dumps([JOBS[e["job"]](e["input"]) if e["job"] in JOBS else None for e in given["examples"]], default=plain))
