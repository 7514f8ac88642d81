# A migration that throws half-way leaves the records as they were, and the next start goes on.
on "$ROOT/bin/stop" > /dev/null 2>&1
broken=$ROOT/database/migrations/2999_01_01_000000_drill.php
trap 'rm -f "$broken"; clean; rm -rf "$scratch"' EXIT
throws_half_way > "$broken"
on "$ROOT/bin/start" --detach > "$scratch/broken" 2>&1 && wrong "a migration that throws" "was not noticed"
grep -q 'half-way' "$scratch/broken" || wrong "a migration that throws" "$(tail -n 2 "$scratch/broken")"
rm -f "$broken"
on "$ROOT/bin/start" --detach > "$scratch/mended" 2>&1 || wrong "start after a broken migration" "$(tail -n 2 "$scratch/mended")"
proven "after a broken migration"
told "a migration that throws half-way" "said; the next start put the records back"
