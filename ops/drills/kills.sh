# Each kind of process is killed by -9 under load, again and again, and is up again by itself; the supervisor by the foreground
# start or by the next one.
rounds=25
[ $short = 0 ] || rounds=1
kinds=(supervisor keep mariadb php-fpm-master php-fpm-worker nginx-master nginx-worker queue scheduler mailbox start)
# victims KIND: processes; a master is one whose parent is another program.
victims() {
    local pid
    name_of() { ps -o comm= -p "$1" || true; }
    parent_of() { ps -o ppid= -p "$1" | tr -d ' ' || true; }
    case "$1" in
        supervisor) cat "$HOME_DIR/root/supervisord.pid" ;;
        start) echo "${foreground:-}" ;;
        *-master) for pid in $(ours "${1%-master}"); do [ "$(name_of "$(parent_of "$pid")")" = "$(name_of "$pid")" ] || [ "$(parent_of "$pid")" = 1 ] || { echo "$pid"; break; }; done ;;
        *-worker) for pid in $(ours "${1%-worker}"); do [ "$(name_of "$(parent_of "$pid")")" != "$(name_of "$pid")" ] || echo "$pid"; done | shuf -n 1 ;;
        *) ours "$1" ;;
    esac
}
is_back() { local now; now=$(victims "$1"); [ -n "$now" ] && [ "$now" != "$2" ] && page_answers; }
foreground=''
in_foreground() { on "$ROOT/bin/stop" > /dev/null 2>&1; on "$ROOT/bin/start" > "$scratch/foreground" 2>&1 & foreground=$!; until_true 60 "a start in the foreground" page_answers > /dev/null; }
in_foreground
begin_recording a
declare -A worst=()
killed=0
for ((i = 1; i <= rounds; i++)); do
    for kind in $(printf '%s\n' "${kinds[@]}" | shuf); do
        was=$(victims "$kind") from=$(now_ms)
        if [ "$kind" = start ]; then
            [ -n "$foreground" ] || continue
            kill -KILL "$foreground" && foreground=''
            back=$(until_true 60 "page after kill of $kind" page_answers)
        else
            # shellcheck disable=SC2086
            kill -KILL $was 2> /dev/null || true
            if [ "$kind" = supervisor ] && [ -z "$foreground" ]; then on "$ROOT/bin/start" --detach > "$scratch/again" 2>&1 || wrong "supervisor killed, then bin/start" "$(tail -n 1 "$scratch/again")"; fi
            until_true 60 "$kind back after a kill" is_back "$kind" "$was" > /dev/null
            back=$(($(now_ms) - from))
        fi
        killed=$((killed + 1))
        [ "$back" -le "${worst[$kind]:-0}" ] || worst[$kind]=$back
    done
    # A new foreground start for every fifth round; between them a supervisor is called up by the next start.
    if [ $((i % 5)) = 0 ] && [ "$i" -lt $rounds ]; then in_foreground; fi
done
for kind in "${kinds[@]}"; do told "kill -9 of $kind, up to $rounds times" "back after ${worst[$kind]:-0} ms at most"; done
told "kills together" "$killed"
end_recording
count_records "notes of four people over the kills"
[ "$(ours keep | wc -l)" = 1 ] || wrong "keepers" "not one: $(ours keep | tr '\n' ' ')"
! grep -qs 'nother FPM instance' "$HOME_DIR/root/php-fpm.out" || wrong "php-fpm" "$(grep -c 'nother FPM instance' "$HOME_DIR/root/php-fpm.out") times said that another instance runs"
told "after that" "one keeper, no orphan, no second php-fpm"
up
proven "after the kills"
none_half_recorded
told "chain, rows, board, tables and rights after that" "whole, half 0"
