# Behind TLS, by the recipe.
up
if command -v openssl > /dev/null; then
    tls=$scratch/tls; mkdir -p "$tls/tmp"
    openssl req -x509 -newkey rsa:2048 -nodes -days 2 -subj /CN=rheacid.example -keyout "$tls/key.pem" -out "$tls/fullchain.pem" 2> /dev/null
    { printf 'daemon off; pid %s/pid; error_log %s/error.log; events {} http { access_log off; client_body_temp_path %s/tmp; proxy_temp_path %s/tmp; fastcgi_temp_path %s/tmp; uwsgi_temp_path %s/tmp; scgi_temp_path %s/tmp;\n' "$tls" "$tls" "$tls" "$tls" "$tls" "$tls" "$tls"
      sed "s|listen 80;|listen 127.0.0.1:$((port + 20));|; s|listen 443 ssl;|listen 127.0.0.1:$((port + 21)) ssl;|; s|/etc/ssl/rheacid|$tls|; s|127.0.0.1:8070|127.0.0.1:$port|; s|127.0.0.1:8090|127.0.0.1:$port|" "$ROOT/ops/tls.conf"; echo '}'; } > "$tls/nginx.conf"
    printf 'PUBLIC_URL=https://rheacid.example\nTRUSTED_PROXY=127.0.0.1\n' >> "$ENV_FILE"
    on "$ROOT/bin/stop" > /dev/null 2>&1
    on "$ROOT/bin/start" --detach > "$scratch/tls-start" 2>&1 || wrong "behind TLS" "$(tail -n 2 "$scratch/tls-start")"
    nginx -c "$tls/nginx.conf" 2> "$tls/start" & proxy=$!
    sleep 1
    answer=$(printf 'GET / HTTP/1.0\r\nHost: rheacid.example\r\n\r\n' | openssl s_client -quiet -connect "127.0.0.1:$((port + 21))" -servername rheacid.example 2> /dev/null || true)
    kill "$proxy" 2> /dev/null || true
    for wanted in 'Location: https://rheacid.example' 'Strict-Transport-Security: max-age=31536000' 'secure; httponly'; do
        grep -qi "$wanted" <<< "$answer" || wrong "behind TLS" "no $wanted in: $(head -n 12 <<< "$answer")"
    done
    told "behind TLS, by ops/tls.conf" "https addresses, HSTS, secure cookies"
    sed -i '/^PUBLIC_URL=\|^TRUSTED_PROXY=/d' "$ENV_FILE"
    on "$ROOT/bin/stop" > /dev/null 2>&1
    up
fi
