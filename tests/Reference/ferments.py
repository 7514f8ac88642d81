"""The least squares of a falling sigmoid that scipy.optimize.least_squares finds, the best of several starts."""
import json
import sys

import numpy as np
from scipy.optimize import least_squares
from scipy.special import expit


def squares(readings):
    t, ph = np.array(readings, float).T
    left = lambda p: ph - p[0] - (p[1] - p[0]) * expit(-(t - p[2]) / p[3])
    best = None
    for below in (0.05, 1):
        for along in (0.2, 0.5, 1):
            start = [min(ph) - below * np.ptp(ph), max(ph) + 0.05, t[0] + along * np.ptp(t), np.ptp(t) / 8]
            got = least_squares(left, start, method="lm", max_nfev=600)
            # A sigmoid that rises, or stands upside down, is no ferment's.
            if got.x[0] < got.x[1] and got.x[3] > 0 and (best is None or 2 * got.cost < best):
                best = 2 * got.cost
    return best


print(json.dumps([squares(one) for one in json.load(sys.stdin)]))
