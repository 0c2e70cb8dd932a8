#!/usr/bin/env bash
# Reference factors from GNU units (Debian package "units"), kept beside the test that reads them:
#   bash core/measure/quantity/reference/gnuUnits.sh > core/measure/quantity/reference/gnuUnits.json
# Mercury and water are GNU units' conventional columns, as in NIST SP 811, B.8.
set -euo pipefail
factor() { units --terse --digits 12 "$1" "$2" | head -n 1; }
row() { printf '  "%s": %s' "$1" "$(factor "$2" "$3")"; }
printf '{\n'
row kPa kPa kPa; printf ',\n'
row Pa Pa kPa; printf ',\n'
row hPa hPa kPa; printf ',\n'
row mbar mbar kPa; printf ',\n'
row bar bar kPa; printf ',\n'
row MPa MPa kPa; printf ',\n'
row psi psi kPa; printf ',\n'
row inHg inHg kPa; printf ',\n'
row mmHg mmHg kPa; printf ',\n'
row inH2O 'inch water' kPa; printf ',\n'
row mmH2O 'mm water' kPa; printf ',\n'
row 'kgf/cm²' 'kgf/cm^2' kPa; printf ',\n'
row g/s g/s g/s; printf ',\n'
row kg/h kg/hour g/s; printf ',\n'
row lb/min lb/min g/s; printf '\n}\n'
