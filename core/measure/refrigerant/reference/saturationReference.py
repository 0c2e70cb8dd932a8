"""Saturation pressures from the equations of state in CoolProp, an independent thermodynamics library: R-134a by
Tillner-Roth and Baehr (1994), R-1234yf by Richter, McLinden and Lemmon (2011). Kept beside the test that reads them.

    python3 core/measure/refrigerant/reference/saturationReference.py > core/measure/refrigerant/reference/saturation.json
"""

import json

import CoolProp
from CoolProp.CoolProp import PropsSI

celsius = list(range(-20, 61, 5))
tables = {
    name: [PropsSI("P", "T", at + 273.15, "Q", 0, fluid) / 1000 for at in celsius]
    for name, fluid in (("R-134a", "R134a"), ("R-1234yf", "R1234yf"))
}
print(json.dumps({"coolprop": CoolProp.__version__, "celsius": celsius, "kpaAbs": tables}, indent=1))
