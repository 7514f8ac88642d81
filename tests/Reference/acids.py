"""Titration curves by SciPy's root finder on an independent charge balance: fractions of each form by products of constants."""
import json
import sys

import numpy as np
from scipy.optimize import brentq

PKA = {"tartaric": [3.04, 4.37], "malic": [3.46, 5.10], "citric": [3.13, 4.76, 6.40], "lactic": [3.86], "acetic": [4.76]}


def anions(ph, name):
    """Mean negative charge of one molecule."""
    pka = PKA[name]
    logs = np.array([sum(ph - p for p in pka[:n]) for n in range(len(pka) + 1)])
    share = 10 ** (logs - logs.max())
    return float((np.arange(len(share)) * share).sum() / share.sum())


def ph(case, ml):
    whole = case["sample_ml"] + ml
    part = case["sample_ml"] / whole
    return brentq(lambda x: 10 ** -x - 10 ** (x - 14) + case["potassium"] * part + ml * case["normality"] / whole - sum(m * part * anions(x, a) for a, m in case["molar"].items()), -1, 15, xtol=1e-13)


print(json.dumps([[ph(case, ml) for ml in case["ml"]] for case in json.load(sys.stdin)]))
