"""Answers the computing contract a second time, on SciPy, NumPy, uncertainties and iapws, from its formulae alone.

Reads [{"job", "input"}, ...] and prints the answers that can be computed independently (null for the rest).
Constants: scipy.constants (CODATA); interpolation: scipy PchipInterpolator; lines: numpy.polyfit; combined
uncertainty: the package uncertainties, by propagation through the measurement model rather than by adding parts.
"""
import datetime
import json
import math
import sys

import numpy as np
from scipy.constants import R, physical_constants
from iapws import iapws97
from scipy.integrate import quad
from scipy.interpolate import PchipInterpolator
from scipy.optimize import brentq, least_squares
from scipy.special import expit
from scipy.stats import linregress, t as student
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


def judge(i):
    """As the contract words it, portion by portion, with the edges of decide()."""
    stage, hours, said = i.get("stage", "underway"), i.get("hours_since", {}), i.get("conditions", {})
    asks = {"always": True, "start": stage == "start", "equilibrium": stage in ("equilibrium", "finished"), "finished": stage == "finished"}
    bad = {"outside": 0, "inconclusive": 1, "inside": 2}
    due, not_due = [], []
    for l in i["limits"]:
        wanted = True if "condition" not in l else said.get(l["condition"])
        if wanted is False:
            continue
        if wanted is None:
            not_due.append({"name": l["name"], "reason": "unanswered"})
            continue
        timed, binds = l.get("applies", "always") == "within_hours", l["kind"] in ("critical", "legal")
        if not timed and not asks[l.get("applies", "always")]:
            not_due.append({"name": l["name"], "reason": "stage"})
            continue
        edge = {x: l[x] for x in ("name", "kind", "op", "value", "low", "high") if x in l}
        rows = []
        for r, result in enumerate(i["results"]):
            if (result.get("measurand", "ph"), result.get("basis", "")) != (l.get("measurand", "ph"), l.get("basis", "")):
                continue
            of_result = []
            for p, portion in enumerate(result["portions"]):
                u = portion["expanded_u"]
                one = decide({"value": portion["value"], "expanded_u": u or 0, "limits": [edge]})["outcomes"][0]
                counts = portion.get("trusted", True) and l["name"] not in portion.get("proves_not", []) and (u is not None or not binds)
                outcome = one["outcome"] if counts or one["outcome"] == "outside" else "inconclusive"
                of_result.append((counts, (bad[outcome], round(one["margin"] - (u or 0 if binds else 0), 12), round(one["margin"], 12), r, p), outcome, one["margin"], portion))
            proving = any(row[0] for row in of_result)
            rows += [row for row in of_result if row[0] or not proving or row[2] == "outside"]
        rows.sort(key=lambda row: row[1])
        clock = hours.get(l.get("since", "start")) if timed else None
        decided = [d for d in i.get("disposed", []) if d["name"] == l["name"]][-1:]
        deadline = decided[0].get("until_h", l.get("hours", 0)) if decided else l.get("hours", 0)
        forgiven = bool(decided) and "until_h" not in decided[0]
        partial = [q for q in i.get("open", []) if (q.get("measurand", "ph"), q.get("basis", "")) == (l.get("measurand", "ph"), l.get("basis", ""))] != []
        before = clock is not None and clock < 0
        come, past = not before and clock is not None and clock >= deadline - 1e-9, not before and clock is not None and clock > deadline + 1e-9
        late = timed and past and l["name"] not in i.get("met_in_time", [])
        if timed and not come and (before or not (rows and clock is not None and rows[0][2] == "inside")):
            not_due.append({"name": l["name"], "reason": "time"})
        elif not rows:
            not_due.append({"name": l["name"], "reason": "unread" if late and binds and not forgiven and not partial and l["name"] not in i.get("awaited", []) else "no-result"})
        else:
            _, key, outcome, margin, portion = rows[0]
            due.append({"name": l["name"], "kind": l["kind"], "outcome": "inconclusive" if late and outcome == "inside" and not forgiven else outcome, "partial": partial, "value_outcome": outcome, "late": late, "margin": margin, "value": portion["value"], "expanded_u": portion["expanded_u"], "trusted": portion.get("trusted", True), "result": key[3], "portion": key[4]})
    bad_ones = [d for d in due if d["outcome"] != "inside"]
    binding = [d for d in bad_ones if d["kind"] in ("critical", "legal")]
    hold = any(not d["partial"] or d["outcome"] == "outside" for d in binding) or any(n["reason"] == "unread" for n in not_due)
    rest = "review" if len(bad_ones) > len(binding) else "open" if i.get("open") else "nothing-judged" if not due else "accept"
    for d in due:
        del d["partial"]
    return {"due": due, "not_due": not_due, "overall": "hold" if hold else rest}


def release(i):
    met, missing = [], []
    for l in (l for l in i["limits"] if l["kind"] in ("critical", "legal")):
        answer = True if "condition" not in l else i.get("conditions", {}).get(l["condition"])
        if answer is False:
            continue
        history = [d for occasion in i["judged"] for d in occasion["due"] if d["name"] == l["name"]]
        failing = lambda outcome: {"inside": None, "outside": "outside", "inconclusive": "not-proven"}[outcome]
        reason = ("unanswered" if answer is None else "never-judged" if not history
                  else "missed-in-time" if any(d.get("late", False) for d in history)
                  else failing(history[-1]["outcome"]) or ("breached" if any(d["outcome"] == "outside" for d in history[:-1]) else None))
        if reason in ("missed-in-time", "breached") and l["name"] in i.get("disposed", []):
            reason = failing(history[-1].get("value_outcome", history[-1]["outcome"]))
        missing.append({"name": l["name"], "reason": reason}) if reason else met.append(l["name"])
    return {"met": met, "missing": missing, "releasable": not missing and not i.get("blocks", []) and (bool(met) or i.get("needs_none", False))}


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


def day(date):
    return datetime.date.fromisoformat(date).toordinal()


def trend(i):
    """linregress; the band's edges by brentq on the textbook formula."""
    history = sorted((day(h["on"]), h["slope_percent"]) for h in i["history"])
    if len(history) == 1:
        return {"percent_per_year": None, "leaves_policy_on": None, "earliest": None, "latest": None}
    x, y = (np.array(column, float) for column in zip(*history))
    fit = linregress(x - x[0], y)
    answer = {"percent_per_year": fit.slope * 365.25, "leaves_policy_on": None, "earliest": None, "latest": None}
    if len(x) < 4 or fit.slope >= 0:
        return answer
    n, centred = len(x), x - x[0] - (x - x[0]).mean()
    s = math.sqrt(np.sum((y - fit.intercept - fit.slope * (x - x[0])) ** 2) / (n - 2))
    half = lambda at: student.ppf(0.95, n - 2) * s * np.sqrt(1 / n + (at - (x - x[0]).mean()) ** 2 / np.sum(centred ** 2))
    last, end = x[-1] - x[0], x[-1] - x[0] + 3652.5
    for name, side in [("leaves_policy_on", 0), ("earliest", -1), ("latest", 1)]:
        edge = lambda at: fit.intercept + fit.slope * at + side * half(at) - i.get("limit_percent", 90)
        grid = np.linspace(last, end, 20001)
        below = grid[edge(grid) <= 0]
        if edge(last) > 0 and len(below):
            answer[name] = datetime.date.fromordinal(int(x[0] + round(brentq(edge, last, below[0])))).isoformat()
    return answer


def compensated(i):
    ref = max(0, i["us_per_cm"] * i.get("cell_factor", 1) + i.get("offset_us", 0)) / (1 + i.get("percent_per_c", 2.0) / 100 * (i["temperature_c"] - 25))
    return {"us_per_cm_25": ref, "tds_500_ppm": ref / 2, "tds_700_ppm": 0.7 * ref}


def boiling(kpa):
    return iapws97._TSat_P(kpa / 1000) - 273.15


def pressure(i):
    return i["pressure_kpa"] if "pressure_kpa" in i else 101.325 * (1 - 2.25577e-5 * i["elevation_m"]) ** 5.25588


def platinum(t, r0=100):
    r = np.polyval([-5.775e-7, 3.9083e-3, 1], t)
    return r0 * (r - 4.183e-12 * (t - 100) * t ** 3 if t < 0 else r)


def platinum_c(ohm, r0=100):
    return brentq(lambda t: platinum(t, r0) - ohm, -200, 850, xtol=1e-12, rtol=1e-14)


CLASSES = {("IEC 60751", "AA"): (.1, .0017), ("IEC 60751", "A"): (.15, .002), ("IEC 60751", "B"): (.3, .005), ("IEC 60751", "C"): (.6, .01), ("ASTM E1137", "A"): (.13, .0017), ("ASTM E1137", "B"): (.25, .0042)}


def proven(error, u, tolerance):
    return "within" if abs(error) + u <= tolerance + 1e-9 else "outside" if abs(error) - u > tolerance + 1e-9 else "inconclusive"


def check(i):
    """The error as an uncertain difference: mean of the readings, its digit and the reference."""
    celsius = lambda v: (v - 32) * 5 / 9 if i.get("unit", "C") == "F" else v
    readings = [celsius(v) for v in i["readings"]]
    digit = i["resolution"] * (5 / 9 if i.get("unit", "C") == "F" else 1)
    boils = i["method"] == "boiling"
    reference = boiling(pressure(i)) if boils else i.get("reference_c", 0)
    known = i.get("reference_expanded_u_c", (0.3 if "pressure_kpa" in i else 0.8) if boils else 0.1)
    s = max(np.std(readings, ddof=1) if len(readings) > 1 else 0, i.get("pooled_sd_c", 0))
    error = ufloat(np.mean(readings), s / math.sqrt(len(readings))) + ufloat(0, digit / math.sqrt(12)) - ufloat(reference, known / 2)
    if "tolerance_class" in i:
        a, b = CLASSES[i["tolerance_class"]["standard"], i["tolerance_class"]["class"]]
    else:
        a, b = i["tolerance_c"], 0
    tolerance, u, e = a + b * abs(reference), 2 * error.std_dev, error.nominal_value
    spread = max(readings) - min(readings)
    findings = [name for name, found in [
        ("BATH_SUSPECT", i["method"] == "ice" and (0.8 - 1e-9 <= e <= 2.5 + 1e-9 or e < -0.3 - 1e-9)),
        ("UNSTEADY", spread > max(0.3, digit) + 1e-9),
        ("REFERENCE_TOO_COARSE", u > tolerance / 2 + 1e-9),
    ] if found]
    return {"reference_c": reference, "mean_c": float(np.mean(readings)), "error_c": e, "spread_c": spread, "tolerance_c": tolerance, "expanded_u_c": u, "correction_c": -e, "correction_usable": bool(abs(e) > u + 1e-9 and not findings), "verdict": proven(e, u, tolerance), "findings": findings}


def rtd_check(i):
    r0 = i.get("r0", 100)
    deviation = platinum_c(i["ohm_at_ice"], r0)
    tolerance = CLASSES[i["standard"], i["class"]][0]
    u = math.hypot(i.get("reference_expanded_u_c", 0.1), i.get("ohm_expanded_u", 0.039) / (3.9083e-3 * r0))
    insulation = None if "insulation_megaohm" not in i else "good" if i["insulation_megaohm"] >= 100 else "low"
    verdict = proven(deviation, u, tolerance)
    return {"deviation_c": deviation, "tolerance_c": tolerance, "expanded_u_c": u, "insulation": insulation, "verdict": "inconclusive" if insulation == "low" and verdict == "within" else verdict, "shift_c": deviation - platinum_c(i["previous_ohm"], r0) if "previous_ohm" in i else None}


def two_points(i):
    gain, offset = np.polyfit([i["low"]["reading_c"], i["high"]["reading_c"]], [i["low"]["reference_c"], i["high"]["reference_c"]], 1)
    return {"gain": gain, "offset_c": offset, "corrected_c": gain * i["reading_c"] + offset}


def interval(i):
    rule = {"double_after": 5, "significant_share": 0.3, "min_days": 7, "max_days": 730, **i.get("policy", {})}
    checks = sorted(i["history"], key=lambda c: c["on"])
    good = lambda c: abs(c["error_c"]) <= c["tolerance_c"] + 1e-9
    row = [c for c in checks if c["on"] > i.get("changed_on", "")][-rule["double_after"]:]
    e, last = [c["error_c"] for c in row], checks[-1]
    small = lambda a, b, c: abs(a - b) <= rule["significant_share"] * c["tolerance_c"] + 1e-9
    earned = len(row) == rule["double_after"] and all(map(good, row)) and all(small(a, b, c) for a, b, c in zip(e, e[1:], row[1:])) and small(e[0], e[-1], last) and abs(e[-1]) + abs(e[-1] - e[0]) <= last["tolerance_c"] + 1e-9
    days, reason = (i["current_days"] // 2, "halved") if not good(last) else (2 * i["current_days"], "doubled") if earned else (i["current_days"], "keep")
    allowed = int(np.clip(days, rule["min_days"], rule["max_days"]))
    return {"next_days": allowed, "due_on": datetime.date.fromordinal(day(last["on"]) + allowed).isoformat(), "reason": reason if allowed == days else "capped"}


def cut_off(i, a, b):
    return any(a <= end and begin <= b for begin, end in i.get("left_out", []))


def degree_hours(i):
    """NumPy's trapezoid over each stretch with its crossing put in, where the contract has a closed form."""
    c = i.get("unit", "F") == "C"
    base, u = i.get("base_f", 60), i.get("temperature_expanded_u", 0)
    f = [(h, (v + u) * 1.8 + 32 if c else v + u) for h, v in i["temperatures"]]
    begin = i.get("from_h", f[0][0])
    ph, limit = [r for r in i.get("ph", []) if r[0] >= begin - 1 - 1e-9], i.get("ph_limit", 5.3)
    end = None
    for k, (h, v) in enumerate(ph):
        if v + i.get("ph_expanded_u", 0) <= limit + 1e-9 and all(w <= limit + 1e-9 for _, w in ph[k:]):
            end = h
            break
    until = end if end is not None else i.get("now_h", f[-1][0])
    # As if the record began when counting does, and went on to its end, each with the temperature next to it.
    line = ([(begin, f[0][1])] if begin < f[0][0] else []) + f + ([(until, f[-1][1])] if until > f[-1][0] else [])
    total, seen, gaps = 0.0, [], []
    for (a, x), (b, y) in zip(line, line[1:]):
        low, high = max(a, begin), min(b, until)
        if low >= high:
            continue
        if b - a > 1 + 1e-9 or cut_off(i, a, b):
            gaps.append([low, b])
            seen.append(max(x, y))
            total += (high - low) * max(0, max(x, y) - base)
            continue
        marks = [low, high] + ([a + (base - x) / (y - x) * (b - a)] if (x - base) * (y - base) < 0 else [])
        t = np.unique(np.clip(marks, low, high))
        at = np.interp(t, [a, b], [x, y])
        seen += list(at)
        total += float(np.trapezoid(np.maximum(0, at - base), t) if hasattr(np, "trapezoid") else np.trapz(np.maximum(0, at - base), t))
    if not seen:
        inside = [max(x, y) for (a, x), (b, y) in zip(line, line[1:]) if a < begin < b and (b - a > 1 + 1e-9 or cut_off(i, a, b))]
        seen = inside or [float(np.interp(begin, [h for h, _ in line], [v for _, v in line]))]
    highest = max(seen)
    allowed = 1200 if highest < 90 - 1e-9 else 1000 if highest <= 100 + 1e-9 else 900
    return {"hours_to_limit": end, "degree_hours": total, "allowed": allowed, "remaining": allowed - total, "gaps": gaps, "verdict": "exceeded" if total >= allowed - 1e-9 else "running" if end is None else "within"}


def throughout(i):
    """Every moment that matters on one axis (edges, readings, crossings), each interval between two of them looked at in its middle."""
    t, v = np.array(i["temperatures"], float).T
    u, limit, sign = i.get("expanded_u_c", 0), i["value_c"], 1 if i["op"] == "<=" else -1
    begin, now = i["from_h"], i.get("now_h", t[-1])
    end = begin + i["hours"] if "hours" in i else math.inf
    over, silence = now >= end - 1e-9, min(i.get("gap_h", 24), i.get("hours", math.inf) / 4)
    gap = lambda a, b: b - a > silence + 1e-9 or cut_off(i, a, b)
    spans = [(begin, t[0])] * (begin < t[0]) + list(zip(t, t[1:])) + [(t[-1], end)] * (over and t[-1] < end)
    gaps = [[max(a, begin), min(b, end)] for a, b in spans if gap(a, b) and max(a, begin) < min(b, end)]
    until = min(now, end)
    edges = [h + (e - x) / (y - x) * (k - h) for (h, x), (k, y) in zip(i["temperatures"], i["temperatures"][1:]) for e in [limit + sign * u] if (x - e) * (y - e) < 0]
    marks = np.unique([m for m in [begin, *([until] if until < math.inf else []), *t, *edges] if begin <= m <= until])
    known = [(m, float(np.interp(m, t, v))) for m in marks if m in t or any(a <= m <= b and not gap(a, b) for a, b in zip(t, t[1:]))]
    lines = [(a, b) for a, b in zip(marks, marks[1:]) if any(x <= (a + b) / 2 <= y and not gap(x, y) for x, y in zip(t, t[1:]))]
    beyond = [m for m, w in known if sign * w > sign * limit + u + 1e-9]
    beyond += [a for a, b in lines if sign * np.interp((a + b) / 2, t, v) > sign * limit + u + 1e-9]
    worst = sign * max(sign * w for _, w in known) if known else None
    proven = worst is not None and sign * worst + u <= sign * limit + 1e-9
    if beyond:
        verdict = "outside"
    elif gaps or (known and not proven):
        verdict = "inconclusive"
    else:
        verdict = "running" if not over else "inside" if proven else "inconclusive"
    return {"verdict": verdict, "worst_c": worst, "first_outside_h": min(beyond) if beyond else None, "covered_h": float(sum(b - a for a, b in lines)), "gaps": gaps}


def heat_hold(i):
    """Every moment that matters on one axis; where the record, less U, stands high enough in the middle of each interval."""
    t, v = np.array(i["temperatures"], float).T
    need, longest = i["minimum_c"] + i.get("expanded_u_c", 0), min(i.get("gap_minutes", 5), i["minutes"])
    begin, end = i.get("begin_minute", -math.inf), i.get("end_minute", math.inf)
    crossings = [brentq(lambda x: np.interp(x, t, v) - need, a, b, xtol=1e-13) for a, b, x, y in zip(t, t[1:], v, v[1:]) if (x - need) * (y - need) < 0]
    marks = np.unique([m for m in [begin, end, *t, *crossings] if max(begin, t[0]) <= m <= min(end, t[-1])])
    best, start = (0.0, None, None), None
    for a, b in zip(marks, marks[1:]):
        of = [(x, y) for x, y in zip(t, t[1:]) if x <= (a + b) / 2 <= y][0]
        hot = np.interp((a + b) / 2, t, v) >= need - 1e-9 and of[1] - of[0] <= longest + 1e-9 and not cut_off(i, *of)
        start = (a if start is None else start) if hot else None
        if hot and b - start > best[0] + 1e-9:
            best = (float(b - start), float(start), float(b))
    return {"longest_minutes": best[0], "met": bool(best[0] > 0 and best[0] >= i["minutes"] - 1e-9), "from_minute": best[1], "to_minute": best[2]}


def lethality(i):
    """SciPy's quadrature over each interval that is no gap."""
    units, gaps = 0.0, []
    for (a, at_a), (b, at_b) in zip(i["temperatures"], i["temperatures"][1:]):
        if b - a > i.get("gap_minutes", 5) + 1e-9 or cut_off(i, a, b):
            gaps.append([a, b])
        else:
            units += quad(lambda t: 10 ** ((np.interp(t, [a, b], [at_a, at_b]) - i.get("expanded_u_c", 0) - i["base_c"]) / i["z_c"]), a, b, epsabs=0, epsrel=1e-12)[0]
    return {"units_min": float(units), "gaps": gaps}


def time_beyond(i):
    """The middle of every stretch between two marks decides whether it lies above."""
    hours, gaps = 0.0, []
    for (a, at_a), (b, at_b) in zip(i["temperatures"], i["temperatures"][1:]):
        over = lambda t: np.interp(t, [a, b], [at_a, at_b]) + i.get("expanded_u_c", 0) - i["limit_c"]
        if b - a > i.get("gap_h", 24) + 1e-9 or cut_off(i, a, b):
            gaps.append([a, b])
            hours += b - a
            continue
        marks = [a, *([brentq(over, a, b, xtol=1e-13)] if over(a) * over(b) < 0 else []), b]
        hours += sum(y - x for x, y in zip(marks, marks[1:]) if over((x + y) / 2) > 1e-9)
    return {"hours": float(hours), "gaps": gaps}


def acidity_unit(i):
    """Equivalent weights from the atomic weights, rounded as a handbook does."""
    equivalent = {acid: round(mass(acid) / protons, 3) for acid, protons in {"tartaric": 2, "malic": 2, "citric": 3, "lactic": 1, "acetic": 1, "sulfuric": 2}.items()}
    def meq(unit):
        fixed = {"meq_per_l": 1, "dornic": 0.1 / equivalent["lactic"] * 1000, "soxhlet_henkel": 2.5, "thoerner": 1}
        acid, _, per = unit.partition("_g_per_")
        return fixed.get(unit) or {"l": 1, "100ml": 10}[per] / equivalent[acid] * 1000
    return {"value": i["value"] * meq(i["given_in"]) / meq(i["wanted_in"])}


def forecast(i):
    """The sigmoid by SciPy from many starts, polished by Gauss and Newton; its interval from the Jacobian at the optimum."""
    t, ph = np.array(i["readings"], float).T
    goal, within, now = i["target"] - i.get("expanded_u", 0), i.get("within_h"), i.get("now_h", i["readings"][-1][0])
    said = lambda model, eta, low, high, verdict, level=None: {"model": model, "eta_h": eta, "low_h": low, "high_h": high, "levels_off_ph": level, "verdict": None if within is None else verdict}
    above = np.flatnonzero(ph > goal + 1e-9)
    met = 0 if len(above) == 0 else int(above[-1]) + 1
    if met < len(t):
        eta = t[0] if met == 0 else np.interp(goal, [ph[met], ph[met - 1]], [t[met], t[met - 1]])
        return said("line", eta, eta, eta, "met" if within is not None and t[met] <= within + 1e-9 else "late")
    open_ = "late" if within is not None and now > within + 1e-9 else "at-risk"
    found = sigmoid(t, ph) if len(t) >= 6 else None
    if found is not None:
        (lo, hi, m, s), jacobian, left = found
        triangle = np.linalg.qr(jacobian)[1].T
        half = lambda slopes: student.ppf(0.95, len(t) - 4) * np.linalg.norm(np.linalg.solve(triangle, slopes)) * math.sqrt(left @ left / (len(t) - 4))
        if goal < lo - half(np.array([1, 0, 0, 0])):
            return said("none", None, None, None, open_, lo)
        if lo < goal < hi:
            eta = m + s * math.log((hi - goal) / (goal - lo))
            wide = half(np.array([s / (goal - lo), s / (hi - goal), 1, (eta - m) / s]))
            if eta >= t[-1] and 2 * wide <= eta - t[0] + 1e-9:
                in_time = within is not None and eta + wide <= within * (0.8 if len(t) <= 7 else 1) + 1e-9
                return said("falling-sigmoid", eta, eta - wide, eta + wide, "on-track" if open_ == "at-risk" and in_time else open_)
    slope, start = np.polyfit(t[-3:], ph[-3:], 1) if len(t) >= 3 else (0, 0)
    eta = (goal - start) / slope if slope < 0 else -math.inf
    return said("line", eta, None, None, open_) if eta >= t[-1] else said("none", None, None, None, open_)


def sigmoid(t, ph):
    best = None
    for below in (0.05, 1):
        for along in (0.2, 0.5, 1):
            start = [min(ph) - below * np.ptp(ph), max(ph) + 0.05, t[0] + along * np.ptp(t), np.ptp(t) / 8]
            left = lambda p: ph - p[0] - (p[1] - p[0]) * expit(-(t - p[2]) / p[3])
            got = least_squares(left, start, method="lm", xtol=1e-15, ftol=1e-15, gtol=1e-15, max_nfev=5000)
            if got.success and got.x[0] < got.x[1] and got.x[3] > 0 and (best is None or got.cost < best[0]):
                best = (got.cost, got.x, left)
    if best is None:
        return None
    p = best[1]
    for _ in range(8):
        share = expit(-(t - p[2]) / p[3])
        steep = (p[1] - p[0]) * share * (1 - share) / p[3]
        jacobian = np.column_stack([1 - share, share, steep, steep * (t - p[2]) / p[3]])
        p = p + np.linalg.lstsq(jacobian, best[2](p), rcond=None)[0]
    return p, jacobian, best[2](p)


EQUIVALENT = {"tartaric": 150.086 / 2, "malic": 67.043, "citric": 192.123 / 3, "lactic": 90.078, "acetic": 60.052, "sulfuric": 98.072 / 2}


def titration(i):
    """The crossing by a root finder on the straight line between neighbours; the steepest place by a parabola of numpy's."""
    at, u, found = i["endpoint"], i.get("uncertainty", {}), []
    if "endpoint_ml" in i:
        ml, ph = i["endpoint_ml"], at["ph"]
    else:
        v, p = np.array(i["curve"], float).T
        if at == "first-derivative":
            mid, steep = (v[1:] + v[:-1]) / 2, np.diff(p) / np.diff(v)
            n = int(np.argmax(steep))
            a, b, _ = np.polyfit(mid[n - 1:n + 2] - mid[n], steep[n - 1:n + 2], 2)
            ml = mid[n] - b / (2 * a)
            ph = np.interp(ml, v, p)
        else:
            ph = at["ph"]
            first = next((n for n in range(len(v)) if p[n] == ph or n + 1 < len(v) and (p[n] - ph) * (p[n + 1] - ph) < 0))
            ml = v[first] if p[first] == ph else brentq(lambda x: np.interp(x, v, p) - ph, v[first], v[first + 1], xtol=1e-14)
            segment = (first - 1, first) if p[first] == ph and first else (first, first + 1)
            if not (p[first] == ph and first == 0) and abs(p[segment[1]] - p[segment[0]]) > 0.5 + 1e-9:
                found = ["COARSE"]
    per, sample = ("kg", i["sample_g"]) if "sample_g" in i else ("l", i["sample_ml"])
    net = ml - i.get("blank_ml", 0)
    meq = net * i["titrant_normality"] * 1000 / sample
    said = {acid: meq * grams / 1000 for acid, grams in EQUIVALENT.items()}
    relative = np.sqrt((u.get("titrant_ml", 0.05) / net) ** 2 + (u.get("sample_percent", 0.5) / 100) ** 2 + (u.get("normality_percent", 0.5) / 100) ** 2)
    return {"endpoint_ml": ml, "endpoint_ph": ph, f"meq_per_{per}": meq, f"titratable_acidity_g_per_{per}": said[i["acid"]], f"expanded_u_g_per_{per}": said[i["acid"]] * relative, "findings": found, "as": said}


def molecular_so2(i):
    share = 1 / (1 + 10 ** (i["ph"] - i.get("pka", 1.81)))
    free = i["free_mg_per_l"] if "free_mg_per_l" in i else i["molecular_mg_per_l"] / share
    return {"free_mg_per_l": free, "molecular_mg_per_l": free * share}


def adjustment(i):
    dose, value = np.array(i["trial"], float).T
    curve = PchipInterpolator(dose, value)
    ends = (curve(dose[0]) - i["target"], curve(dose[-1]) - i["target"])
    at = dose[0] if ends[0] == 0 else dose[-1] if ends[1] == 0 else brentq(lambda x: curve(x) - i["target"], dose[0], dose[-1], xtol=1e-14)
    whole = at * i["batch_l"] / (i["trial_volume_ml"] / 1000)
    return {"dose_per_trial": at, "dose_batch": whole, "steps": [whole * share for share in (0.5, 0.25, 0.25)]}


def blend(i):
    a, b = i["a"], i["b"]
    # The balance of what is in them, solved for the second volume.
    second = 0 if i["target"] == a["value"] else np.linalg.solve([[b["value"] - i["target"]]], [a["volume_l"] * (i["target"] - a["value"])])[0]
    return {"volume_b_l": second, "volume_total_l": a["volume_l"] + second}


def dilute(i):
    missing = ({"c1", "v1", "c2", "v2"} - set(i)).pop()
    found = brentq(lambda x: np.log({**i, missing: np.exp(x)}["c1"] * {**i, missing: np.exp(x)}["v1"]) - np.log({**i, missing: np.exp(x)}["c2"] * {**i, missing: np.exp(x)}["v2"]), -60, 60, xtol=1e-14)
    return {**i, missing: np.exp(found)}


WEIGHTS = {"H": 1.008, "C": 12.011, "O": 15.999, "S": 32.06, "Na": 22.990, "K": 39.098, "Cl": 35.453}
FORMULAE = {"KCl": {"K": 1, "Cl": 1}, "NaOH": {"Na": 1, "O": 1, "H": 1}, "tartaric": {"C": 4, "H": 6, "O": 6}, "citric": {"C": 6, "H": 8, "O": 7}, "malic": {"C": 4, "H": 6, "O": 5}, "lactic": {"C": 3, "H": 6, "O": 3}, "acetic": {"C": 2, "H": 4, "O": 2}, "sulfuric": {"H": 2, "S": 1, "O": 4}, "KHP": {"C": 8, "H": 5, "K": 1, "O": 4}}
mass = lambda of: sum(WEIGHTS[atom] * n for atom, n in FORMULAE[of].items())


JOBS = {
    "electrode-trend": trend,
    "conductivity": compensated,
    "boiling-point": lambda i: {"temperature_c": boiling(pressure(i)), "pressure_kpa": pressure(i)},
    "thermometer-check": check,
    "rtd": lambda i: {"temperature_c": i["temperature_c"], "ohm": platinum(i["temperature_c"], i.get("r0", 100))} if "temperature_c" in i else {"temperature_c": platinum_c(i["ohm"], i.get("r0", 100)), "ohm": i["ohm"]},
    "rtd-check": rtd_check,
    "two-point-correction": two_points,
    "interval": interval,
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
    "forecast": forecast,
    "degree-hours": degree_hours,
    "throughout": throughout,
    "heat-hold": heat_hold,
    "lethality": lethality,
    "time-beyond": time_beyond,
    "acidity-unit": acidity_unit,
    "titration": titration,
    # The molar masses follow from the atomic weights, to what a handbook rounds.
    "standardise-titrant": lambda i: {"normality": i["khp_g"] * i.get("purity", 1) / round(mass("KHP"), 3) / i["ml"] * 1000},
    "molecular-so2": molecular_so2,
    "adjustment": adjustment,
    "blend": blend,
    "dilute": dilute,
    "solution": lambda i: {"grams": i["molarity"] * i["volume_ml"] / 1000 * round(mass(i["solute"]), 3)},
    "judge": judge,
    "release": release,
}

given = json.load(sys.stdin)
TABLES.update(given["tables"])
plain = lambda v: v.item() if isinstance(v, np.generic) else v
print(json.dumps([JOBS[e["job"]](e["input"]) if e["job"] in JOBS else None for e in given["examples"]], default=plain))
