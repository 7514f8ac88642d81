# A full disk: nothing is half-recorded, everybody is told, and with space again it goes on.
disk=$ROOT/var/drill-disk
on_disk() { RHEACID_INSTANCE=drill-disk RHEACID_PORT=$((port + 2)) RHEACID_DB_PORT=$((database_port + 2)) "$@"; }
up
on "$ROOT/bin/stop" > /dev/null 2>&1
mkdir -p "$disk"
if mount -t tmpfs -o size=500m,mode=755 tmpfs "$disk" 2> /dev/null; then
    trap 'on_disk "$ROOT/bin/stop" > /dev/null 2>&1 || true; umount -l "$disk" 2> /dev/null || true; rm -rf "$disk" "$ROOT"/var/drill-disk.*; clean; rm -rf "$scratch"' EXIT
    cp -a "$ROOT/var/drill/." "$disk/"
    # As at a first start: these ports are taken anew.
    rm "$disk/root/settled"
    on_disk "$ROOT/bin/start" --detach --as-a-copy > "$scratch/disk" 2>&1 || wrong "on a small disk" "$(tail -n 2 "$scratch/disk")"
    rm -f "$scratch/stop"
    passphrase=$(sed -n 's/^DEMO_PASSPHRASE=//p' "$disk/.env")
    php "$ROOT/ops/drill-client.php" $((port + 2)) "$passphrase" "$scratch/acked-disk" "$scratch/stop" disk > "$scratch/client-disk" 2>&1 & client=$!
    until [ -s "$scratch/acked-disk" ]; do sleep 0.2; done
    dd if=/dev/zero of="$disk/filler" bs=1M 2> /dev/null || true
    sleep 5
    said=$(RHEACID_INSTANCE=drill-disk instance drill-disk $((port + 2)) $((database_port + 2)); page_says | head -n 1)
    case "$said" in *' 503'*) ;; *) wrong "a full disk" "/up says $said" ;; esac
    code=0; status=$(on_disk "$ROOT/bin/status" 2>&1) || code=$?
    [ $code = 1 ] || wrong "a full disk" "bin/status ends with $code"
    page=$(php "$ROOT/ops/drill-page.php" $((port + 2)) "$passphrase" sela "disk" 2>&1) || true
    case "$page" in ''|*'disk is full'*|*'cannot be reached'*) ;; *) wrong "signing in on a full disk" "$page" ;; esac
    told "a full disk" "/up 503, status 1, who signs in: ${page:-is told on Today}"
    sleep 10
    full=$(wc -l < "$scratch/acked-disk")
    rm -f "$disk/filler"
    on_disk "$ROOT/bin/start" --detach > "$scratch/disk" 2>&1 || wrong "with space again" "$(tail -n 2 "$scratch/disk")"
    tries=0; until [ "$(wc -l < "$scratch/acked-disk")" -gt "$full" ]; do tries=$((tries + 1)); [ $tries -lt 300 ] || wrong "with space again" "nothing is recorded: $(cat "$scratch/client-disk")"; sleep 0.2; done
    touch "$scratch/stop"; wait "$client" || wrong "a client on a full disk" "$(cat "$scratch/client-disk")"
    on_disk "$ROOT/bin/verify" > "$scratch/verify" 2>&1 || wrong "records after a full disk" "$(cat "$scratch/verify")"
    told "with space again" "went on; whole, half 0"
    # No inode left.
    mount -o remount,nr_inodes="$(($(df --output=iused "$disk" | tail -n 1) + 0))" "$disk" 2> /dev/null && {
        said=$(instance drill-disk $((port + 2)) $((database_port + 2)); page_says | head -n 1)
        case "$said" in *' 503'*) told "no inodes left" "/up 503" ;; *) wrong "no inodes left" "/up says $said" ;; esac
        mount -o remount,nr_inodes=1000000 "$disk"
    }
    on_disk "$ROOT/bin/stop" > /dev/null 2>&1
    umount -l "$disk"; rm -rf "$disk" "$ROOT"/var/drill-disk.*
else
    told "a full disk" "not tried: this machine mounts no tmpfs"
    rmdir "$disk"
fi
trap 'clean; rm -rf "$scratch"' EXIT
up
