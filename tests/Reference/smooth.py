"""Worst distance of each printed table from a smooth polynomial in the temperature (numpy.polyfit)."""
import json
import sys

import numpy as np

worst = {}
for name, table in json.load(sys.stdin).items():
    t, ph = np.array(table).T
    worst[name] = float(np.abs(np.polyval(np.polyfit(t, ph, 2 if name == "tartrate" else 3), t) - ph).max())
print(json.dumps(worst))
