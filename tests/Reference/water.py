"""Density of water at one atmosphere, kg/m³, by IAPWS-IF97."""
import json
import sys

from iapws import IAPWS97

print(json.dumps([IAPWS97(T=celsius + 273.15, P=0.101325).rho for celsius in json.load(sys.stdin)]))
