# The first start, killed at moments all over it, is begun again each time; and two at once.
breaks=20
[ $short = 0 ] || breaks=2
[ -z "$only" ] || breaks=0
for ((i = 1; i <= breaks; i++)); do
    on killed_at $((5 + 115 * (i - 1) / breaks)) "$ROOT/bin/start" --detach
done
[ $breaks = 0 ] || told "first start, killed at $breaks moments" "begun again each time"

on "$ROOT/bin/start" --detach > "$scratch/one" 2>&1 & one=$!
on "$ROOT/bin/start" --detach > "$scratch/two" 2>&1 & two=$!
wait "$one" || wrong "two starts at once" "$(tail -n 1 "$scratch/one")"
wait "$two" || wrong "two starts at once" "$(tail -n 1 "$scratch/two")"
page_answers || wrong "two starts at once" "no page"
[ "$(ours keep | wc -l)" -ge 1 ] || wrong "two starts at once" "no keeper"
told "two starts at once" "one came up, the other said so"
proven "after that"
