# What ops/drill and ops/attack say and ask in the same way. Sourced by both, after ops/house.sh.
told() { printf '%-62s %s\n' "$1" "$2"; }
wrong() { told "$1" "WRONG: $2" >&2; exit 1; }
ask_records() { as_owner mariadb --skip-column-names --batch rheacid --execute="$1"; }
# What stands in the records without its other half: a measurement without a decision, a completed run without a calibration.
none_half_recorded() {
    local half
    half=$(ask_records "SELECT (SELECT COUNT(*) FROM measurements m LEFT JOIN decisions d ON d.occasion_id = m.occasion_id WHERE d.id IS NULL) + (SELECT COUNT(*) FROM calibration_runs r LEFT JOIN calibrations c ON c.calibration_run_id = r.id WHERE r.state = 'completed' AND c.id IS NULL AND r.pair_id IN (SELECT pair_id FROM calibrations))")
    [ "$half" = 0 ] || wrong "half-recorded" "$half"
}
