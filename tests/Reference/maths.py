"""scipy's answers to what core/Maths computes."""
import json
import sys

import numpy
from scipy.interpolate import PchipInterpolator
from scipy.stats import linregress, t


def band(courses, at):
    here = [numpy.interp(at, *zip(*course)) for course in courses if course[0][0] <= at <= course[-1][0]]
    return [float(value) for value in numpy.percentile(here, [25, 50, 75])] if len(here) >= 3 else None


answers = []
for case in json.load(sys.stdin):
    if "courses" in case:
        answers.append([band(case["courses"], at) for at in case["at"]])
        continue
    x, y = zip(*case["points"])
    # With two points scipy's cubic is the straight line too.
    line = linregress(x, y)
    answers.append({"pchip": float(PchipInterpolator(x, y)(case["at"])), "slope": line.slope, "intercept": line.intercept, "t": t.ppf(case["probability"], case["freedom"])})
print(json.dumps(answers))
