# Backups while people record; killed in the middle, nothing partial is counted or left.
breaks=10
[ $short = 0 ] || breaks=2
up
begin_recording b
mkdir -p "$scratch/second"
echo "BACKUP_SECOND=$scratch/second" >> "$ENV_FILE"
for ((i = 0; i < breaks; i++)); do on killed_at $((1 + i)) "$ROOT/bin/backup" "$scratch/backups"; done
on "$ROOT/bin/backup" "$scratch/backups" --rotate > "$scratch/backup" 2>&1 || wrong "backup under load" "$(tail -n 2 "$scratch/backup")"
end_recording
count_records "notes while backups were made and killed"
left=$(find "$scratch/backups" -name '.taking-*' -o -name '*.new' | wc -l)
[ "$left" = 0 ] || wrong "backups that were killed" "$left partial ones are left"
file=$(ls "$scratch"/backups/*.tar | tail -n 1)
for one in "$scratch"/backups/*.tar; do tar -xOf "$one" records.sql.gz | gzip -t || wrong "a backup" "$one is not whole"; done
cmp -s "$file" "$scratch/second/$(basename "$file")" || wrong "the second place" "has another file"
told "backup, killed at $breaks moments, then whole" "nothing partial left; the second place has the same file"
printf 'not a backup' > "$scratch/backups/rheacid-drill-20200101T000000Z.tar"
php "$ROOT/ops/rotate.php" "$scratch/backups" rheacid-drill-
[ -e "$scratch/backups/rheacid-drill-20200101T000000Z.tar" ] && [ -e "$file" ] || wrong "rotation" "took away what was never read back, or what was"
rm "$scratch/backups/rheacid-drill-20200101T000000Z.tar"
sed -i "s|^BACKUP_SECOND=.*|BACKUP_SECOND=/proc/nowhere|" "$ENV_FILE"
code=0; on "$ROOT/bin/backup" "$scratch/backups" > "$scratch/backup" 2>&1 || code=$?
[ $code = 4 ] || wrong "a second place that fails" "ended with $code"
told "a second place that cannot be written" "said, exit code 4; the first one kept"
sed -i '/^BACKUP_SECOND=/d' "$ENV_FILE"
