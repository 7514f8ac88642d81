# A copy says whose it is; a backup that is encrypted to a key is opened by that key alone.
up
on "$ROOT/bin/stop" > /dev/null 2>&1
clear_restored
cp -a "$ROOT/var/drill" "$ROOT/var/drill-restored"
on_restored "$ROOT/bin/start" --detach > "$scratch/copy" 2>&1 && wrong "a copied home" "came up unasked"
grep -q "was copied from $ROOT/var/drill" "$scratch/copy" || wrong "a copied home" "$(tail -n 1 "$scratch/copy")"
told "a copied home" "says whose it is, and asks"
clear_restored
up
mkdir -m 700 "$scratch/key" "$scratch/none"
if gpg --homedir "$scratch/key" --batch --quiet --passphrase '' --quick-generate-key drill@works.example future-default default never 2> /dev/null; then
    gpg --homedir "$scratch/key" --batch --armor --export drill@works.example > "$HOME_DIR/root/backup-key.asc"
    on "$ROOT/bin/backup" "$scratch/locked" > "$scratch/backup" 2>&1 || wrong "encrypted backup" "$(tail -n 1 "$scratch/backup")"
    locked=$(ls "$scratch"/locked/*.gpg)
    GNUPGHOME=$scratch/none on_restored "$ROOT/bin/restore" "$locked" --key="$(public_key)" > "$scratch/refused" 2>&1 && wrong "a backup without its key" "was opened"
    GNUPGHOME=$scratch/key on_restored "$ROOT/bin/restore" "$locked" --key="$(public_key)" > "$scratch/restore" 2>&1 || wrong "a backup with its key" "$(tail -n 1 "$scratch/restore")"
    told "a backup encrypted to a key" "opened with it, refused without"
    rm "$HOME_DIR/root/backup-key.asc"
    clear_restored
fi
