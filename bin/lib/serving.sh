# nginx, php-fpm and the queue, all as an ordinary user with all they write in one folder. Sourced by common.sh.

# Who serves: whoever runs this, or www-data where that is root. Sets RUN (all that serving writes), SERVED (the code it
# is served from). $1 names the run.
prepare_serving() {
  local name=$1 home
  APP_RUN=(); SERVED=$ROOT; RUN="$VAR/run-$name"
  if [ "$(id -u)" = 0 ]; then
    APP_RUN=(runuser -u www-data --)
    if ! "${APP_RUN[@]}" test -r "$ROOT/vendor/autoload.php" 2>/dev/null || [ -n "$(cd "$ROOT" && find app bootstrap/*.php config core database public resources routes vendor ! -perm -o+r -print -quit)" ]; then
      home="/var/lib/gorvan/$(printf '%s' "$ROOT" | sha256sum | cut -c1-12)-$name"
      say "The user www-data cannot read $ROOT, so the pages are served from a copy in $home."
      RUN="$home/run"; SERVED="$home/application"
      rm -rf "$SERVED"; mkdir -p "$SERVED/bootstrap/cache"
      (cd "$ROOT" && tar -cf - artisan composer.json app bootstrap/*.php config core database public routes resources vendor) | tar -C "$SERVED" -xf - \
        || fail "The application could not be copied to $SERVED."
      chmod 755 /var/lib/gorvan "$home"; chmod -R u=rwX,go=rX "$SERVED"
    fi
  fi
  stop_left_over
  mkdir -p "$RUN"
  (umask 077; mkdir -p "$RUN"/{cache,log,tmp} "$RUN"/storage/{app,logs,framework/{views,sessions,cache/data}})
  rm -f "$RUN"/cache/*.php # settings of an earlier run
  if [ ${#APP_RUN[@]} -gt 0 ]; then chown -R www-data: "$RUN"; fi
  chmod 700 "$RUN"
  export LARAVEL_STORAGE_PATH="$RUN/storage" APP_CONFIG_CACHE="$RUN/cache/config.php" APP_ROUTES_CACHE="$RUN/cache/routes.php" \
    APP_EVENTS_CACHE="$RUN/cache/events.php" APP_PACKAGES_CACHE="$RUN/cache/packages.php" APP_SERVICES_CACHE="$RUN/cache/services.php"
}

# Whether somebody else listens on a port of this machine; a moment is given to what was just told to end.
port_is_taken() {
  for _ in $(seq 1 "${2:-1}"); do
    php -r 'exit(@stream_socket_server("tcp://127.0.0.1:'"$1"'") ? 0 : 1);' 2>/dev/null && return 1
    sleep 0.2
  done
  return 0
}

# Ends what a run that was killed left behind, before anything is said of its port. $1 names the run.
end_left_over() {
  local RUN
  for RUN in "$VAR/run-$1" "/var/lib/gorvan/$(printf '%s' "$ROOT" | sha256sum | cut -c1-12)-$1/run"; do
    [ ! -d "$RUN" ] || stop_left_over
  done
}

# What a run that was killed left running here. The lock says that nobody else's it can be.
stop_left_over() {
  local one pid left
  for one in nginx fpm worker scheduler; do
    pid=$(cat "$RUN/$one.pid" 2>/dev/null) || continue
    case $pid in ''|*[!0-9]*) continue ;; esac
    # The same number may be another process by now.
    if [ -r "/proc/$pid/cmdline" ] && tr '\0' ' ' < "/proc/$pid/cmdline" | grep -qF "$RUN"; then kill -TERM -- "-$pid" 2>/dev/null || kill -TERM "$pid" 2>/dev/null || true; fi
    rm -f "$RUN/$one.pid"
  done
  # A leader that was killed leaves its group behind: they are known by where they write.
  for left in TERM TERM TERM KILL; do
    pid=$(left_over) || return 0
    # shellcheck disable=SC2086
    kill "-$left" $pid 2>/dev/null || true
    sleep 0.5
  done
}
# Processes of PHP, nginx and the loops of the queue that write into $RUN; fails where there are none.
left_over() {
  local proc name found=
  for proc in /proc/[0-9]*; do
    name=$(cat "$proc/comm" 2>/dev/null) || continue
    case $name in
      php*|nginx) tr '\0' '\n' 2>/dev/null < "$proc/environ" | grep -qxF "LARAVEL_STORAGE_PATH=$RUN/storage" || continue ;;
      sh|dash|runuser) tr '\0' '\n' 2>/dev/null < "$proc/cmdline" | grep -qxF -e "worker of $RUN" -e "scheduler of $RUN" || continue ;;
      *) continue ;;
    esac
    found="$found ${proc#/proc/}"
  done
  [ -n "$found" ] && printf '%s' "$found"
}

# Commands of the application, as whoever serves it.
artisan() { (umask 077; cd "$SERVED" && "${APP_RUN[@]}" php artisan "$@"); }

# The shape of the tables is brought up to date by the role that owns them. $1 is "fresh" to throw all away first.
migrate() {
  local how=migrate; [ "${1:-}" != fresh ] || how=migrate:fresh
  (umask 077; cd "$SERVED" && as_tables "${APP_RUN[@]}" php artisan "$how" --force -q) && grant_rows "$DB_DATABASE"
}

# The framework's settings, all by environment. $1 is the port of the pages, the rest more names they are known by.
settings() {
  local port=$1 name names; shift
  [ -s "$VAR/app.key" ] || (umask 077; php -r 'echo "base64:".base64_encode(random_bytes(32));' > "$VAR/app.key")
  export APP_NAME=Gorvan APP_ENV="${APP_ENV:-production}" APP_DEBUG=false APP_URL="http://127.0.0.1:$port"
  APP_KEY=$(cat "$VAR/app.key"); export APP_KEY
  export SESSION_COOKIE=gorvan_session SESSION_ENCRYPT=true SESSION_DRIVER="${SESSION_DRIVER:-database}" SESSION_LIFETIME=720 CACHE_STORE=file QUEUE_CONNECTION=database DB_QUEUE_RETRY_AFTER=22 MAIL_MAILER="${MAIL_MAILER:-mailbox}" LOG_CHANNEL=lines LOG_LEVEL=warning
  SANCTUM_STATEFUL_DOMAINS="127.0.0.1:$port,localhost:$port" GORVAN_HOSTS="127.0.0.1,localhost"
  for name in "$@"; do SANCTUM_STATEFUL_DOMAINS="$SANCTUM_STATEFUL_DOMAINS,$name"; GORVAN_HOSTS="$GORVAN_HOSTS,${name%:*}"; done
  export SANCTUM_STATEFUL_DOMAINS GORVAN_HOSTS
}

# An authority of this machine's own, and with it a certificate for a name or address. $1 is the name.
certificate() {
  local name=$1 dir="$VAR/tls" of
  case $name in *[!0-9.]*) of="DNS:$name" ;; *) of="IP:$name" ;; esac
  mkdir -p "$dir"
  if [ ! -f "$dir/authority.crt" ]; then
    (umask 077; openssl req -x509 -newkey rsa:2048 -nodes -days 3650 -subj "/CN=Gorvan on $(hostname)" -addext basicConstraints=critical,CA:TRUE -addext keyUsage=critical,keyCertSign -keyout "$dir/authority.key" -out "$dir/authority.crt") 2> "$VAR/tls.log" || return 1
  fi
  if [ ! -f "$dir/$name.crt" ] || ! openssl x509 -checkend 604800 -noout -in "$dir/$name.crt" > /dev/null; then
    (umask 077; openssl req -newkey rsa:2048 -nodes -subj "/CN=$name" -keyout "$dir/$name.key" -out "$dir/$name.csr") 2>> "$VAR/tls.log" || return 1
    printf 'subjectAltName=%s\nextendedKeyUsage=serverAuth\n' "$of" > "$dir/$name.ext"
    openssl x509 -req -in "$dir/$name.csr" -CA "$dir/authority.crt" -CAkey "$dir/authority.key" -CAcreateserial -days 390 -extfile "$dir/$name.ext" -out "$dir/$name.crt" 2>> "$VAR/tls.log" || return 1
  fi
}

# Where a name of this machine is listened at: the address itself, or every address where it is a name.
listening_address() { case $1 in *[!0-9.]*) printf '0.0.0.0' ;; *) printf '%s' "$1" ;; esac; }

# How many requests are worked on at once; how many of them may be one person's, and how many may come from one address,
# which a whole school may share.
WORKERS=24
ONE_PERSONS=12
ONE_CLIENTS=20

php_conf() {
  cat <<CONF
[global]
pid = "$RUN/fpm.pid"
error_log = "$RUN/log/fpm.log"
log_level = warning
daemonize = no
process_control_timeout = 10s
emergency_restart_threshold = 10
emergency_restart_interval = 1m

[gorvan]
listen = "$PHP_SOCKET"
pm = dynamic
pm.max_children = $WORKERS
pm.start_servers = 4
pm.min_spare_servers = 2
pm.max_spare_servers = 6
pm.max_requests = 2000
request_terminate_timeout = 65s
clear_env = no
catch_workers_output = yes
decorate_workers_output = no
php_admin_value[memory_limit] = 256M
php_admin_value[max_execution_time] = 60
php_admin_value[post_max_size] = 3M
php_admin_value[upload_max_filesize] = 2M
php_admin_value[max_input_vars] = 20000
php_admin_value[error_log] = "$RUN/log/php.log"
php_admin_flag[log_errors] = on
php_admin_flag[display_errors] = off
CONF
}

# What every answer that nginx gives itself carries; the application's own answers carry theirs.
plain_headers() {
  cat <<'CONF'
      add_header X-Content-Type-Options nosniff always; add_header X-Frame-Options DENY always; add_header Referrer-Policy same-origin always;
      add_header Content-Security-Policy "default-src 'self'; style-src 'self' 'unsafe-inline'; img-src 'self' data:; object-src 'none'; base-uri 'self'; frame-ancestors 'none'; form-action 'self'" always;
CONF
}
# What nginx answers itself, in the shape of a problem of the application. $1 is the place, $2 the status, $3 the code.
told_location() { printf '    location = /%s { internal; default_type application/json; add_header Cache-Control no-store always;\n%s\n      return %s %s;\n    }\n' "$1" "$(plain_headers)" "$2" "'$(told "$3")'"; }
told() { printf '{"code":"%s","with":{},"place":"","problems":[],"known":[],"fields":{}}' "$1"; }

# $1 is the port of this machine alone; $2 the address of the network, $3 its port, $4 and $5 its certificate and key.
nginx_conf() {
  local port=$1 host=${2:-} tls_port=${3:-} names="127.0.0.1 localhost" code
  cat <<CONF
daemon off; worker_processes 2; pid "$RUN/nginx.pid"; error_log "$RUN/log/nginx.log" warn;
events { worker_connections 512; }
http {
  include /etc/nginx/mime.types; types { application/manifest+json webmanifest; }
  default_type application/octet-stream; charset utf-8; charset_types text/javascript application/javascript application/json image/svg+xml;
  access_log off; server_tokens off; sendfile on; tcp_nopush on; keepalive_timeout 65;
  client_max_body_size 3m; client_body_timeout 20s; client_header_timeout 15s; send_timeout 30s; client_header_buffer_size 4k; large_client_header_buffers 4 8k;
  client_body_temp_path "$RUN/tmp/body"; proxy_temp_path "$RUN/tmp/proxy"; fastcgi_temp_path "$RUN/tmp/fastcgi"; uwsgi_temp_path "$RUN/tmp/uwsgi"; scgi_temp_path "$RUN/tmp/scgi";
  gzip on; gzip_comp_level 6; gzip_min_length 600; gzip_vary on; gzip_types text/css text/plain text/javascript text/calendar text/csv application/javascript application/json application/manifest+json image/svg+xml;
  # One person's requests, however many, leave workers to the others.
  map \$cookie_gorvan_session \$person { '~^[A-Za-z0-9]{40}\$' \$cookie_gorvan_session; default \$binary_remote_addr; }
  limit_conn_zone \$person zone=persons:4m; limit_conn_zone \$binary_remote_addr zone=clients:4m; limit_conn_status 429; limit_conn_log_level notice;
  upstream php { server "unix:$PHP_SOCKET"; }
  # Whoever asks for a host that this is not is not answered.
  server {
    listen 127.0.0.1:$port default_server;$([ -z "$host" ] || printf '\n    listen %s:%s ssl default_server; ssl_certificate %s; ssl_certificate_key %s;' "$host" "$tls_port" "$4" "$5")
    server_name _;
    error_page 400 =404 /told/nowhere;
    location / {
$(plain_headers)
      return 421;
    }
$(told_location told/nowhere 404 http.gone)
  }
CONF
  server_conf "listen 127.0.0.1:$port;" "$names"
  [ -z "$host" ] || server_conf "listen $host:$tls_port ssl http2; ssl_certificate $4; ssl_certificate_key $5; ssl_protocols TLSv1.2 TLSv1.3; ssl_session_cache shared:tls:2m;" "$TLS_NAME"
  printf '}\n'
}

server_conf() {
  cat <<CONF
  server {
    $1
    server_name $2;
    root "$SERVED/public";
    # A path that cannot be one (a NUL in it, say) is nowhere.
    error_page 400 =404 /told/nowhere;
    error_page 413 /told/large;
    error_page 429 /told/often;
    error_page 502 503 504 =503 /told/closed;
    location / { try_files /nothing @application; }
    # The workers that keep the pages are never kept themselves: a new version of them must be seen at once.
    location ~ ^/(?:mine/)?sw\.js$ { add_header Cache-Control "no-cache, no-store" always;
$(plain_headers)
    }
    location /build/assets/ { add_header Cache-Control "public, max-age=31536000, immutable";
$(plain_headers)
    }
    location ~ ^/(?:workbox-[0-9a-z]+\.js|icon\.svg|robots\.txt|gorvan\.webmanifest)$ { add_header Cache-Control "no-cache";
$(plain_headers)
    }
    location @application {
      limit_conn persons $ONE_PERSONS; limit_conn clients $ONE_CLIENTS;
      # The host is one of those this server is known by, with its port: addresses in mails and the origin rest on it.
      fastcgi_param HTTP_HOST \$host:\$server_port; fastcgi_param HTTP_PROXY ""; fastcgi_param SERVER_NAME \$host; fastcgi_param SERVER_PORT \$server_port;
      fastcgi_param REQUEST_METHOD \$request_method; fastcgi_param REQUEST_URI \$request_uri; fastcgi_param QUERY_STRING \$query_string;
      fastcgi_param CONTENT_TYPE \$content_type; fastcgi_param CONTENT_LENGTH \$content_length; fastcgi_param REMOTE_ADDR \$remote_addr; fastcgi_param REMOTE_PORT \$remote_port;
      fastcgi_param SERVER_PROTOCOL \$server_protocol; fastcgi_param SERVER_ADDR \$server_addr; fastcgi_param REQUEST_SCHEME \$scheme; fastcgi_param HTTPS \$https if_not_empty;
      fastcgi_param GATEWAY_INTERFACE CGI/1.1; fastcgi_param SERVER_SOFTWARE nginx; fastcgi_param REDIRECT_STATUS 200;
      fastcgi_param DOCUMENT_ROOT "$SERVED/public"; fastcgi_param SCRIPT_FILENAME "$SERVED/public/index.php"; fastcgi_param SCRIPT_NAME /index.php;
      fastcgi_pass php; fastcgi_read_timeout 70s; fastcgi_buffers 32 16k; fastcgi_buffer_size 32k;
    }
$(told_location told/nowhere 404 http.gone; told_location told/large 413 http.large; told_location told/often 429 http.often; told_location told/closed 503 http.closed)
  }
CONF
}

# Runs something in the background in a process group of its own, as whoever serves. $1 names its log.
in_background() {
  local name=$1; shift
  (umask 077; cd "$SERVED" && exec setsid "${APP_RUN[@]}" "$@") > "$RUN_LOG/$name.log" 2>&1 < /dev/null 9>&- &
}

# Serves the pages on port $1 of this machine and, where $2 is an address of its network, on port $3 of that by the
# certificate $4 and key $5. Waits until they answer. stop_server ends it.
start_server() {
  local port=$1
  RUN_LOG=$VAR; SERVER_PORT=$port
  PHP_SOCKET="$RUN/php.sock"
  # A socket has room for about a hundred letters.
  if [ ${#PHP_SOCKET} -gt 100 ]; then
    PHP_HOME=$(mktemp -d /tmp/gorvan.XXXXXX); [ ${#APP_RUN[@]} -eq 0 ] || chown www-data: "$PHP_HOME"
    PHP_SOCKET="$PHP_HOME/php.sock"
  fi
  php_conf > "$RUN/fpm.conf"
  nginx_conf "$@" > "$RUN/nginx.conf"
  for one in config route event view; do artisan "$one:cache" -q || fail "The settings could not be prepared ($one)."; done
  run_fpm; run_nginx
  for _ in $(seq 1 150); do
    server_answers && return 0
    kill -0 "$NGINX" 2>/dev/null && kill -0 "$FPM" 2>/dev/null || break
    sleep 0.1
  done
  tail -n 3 "$VAR/nginx.log" "$VAR/fpm.log" "$RUN/log/nginx.log" "$RUN/log/fpm.log" >&2 2>/dev/null
  if port_is_taken "$port"; then fail "Port $port is in use. Choose another with --port."; fi
  fail "The pages do not answer on port $port; what the servers said stands above, and all of it in $RUN/log and $VAR."
}
server_answers() { php -r 'exit(str_contains((string) @file_get_contents("http://127.0.0.1:'"$SERVER_PORT"'/up", false, stream_context_create(["http" => ["timeout" => 3]])), "up") ? 0 : 1);'; }

fpm_program() { printf '/usr/sbin/php-fpm%s' "$(php -r 'echo PHP_MAJOR_VERSION.".".PHP_MINOR_VERSION;')"; }
# Without its compiler to machine code: that writes into memory all workers share, while they run, and one that is killed in
# the middle leaves it half written. The others crashed by it, or found good addresses bad, until the next start. Requests
# this short are no slower without it; the queue, whose workers share nothing, keeps it.
run_fpm() {
  stop_fpm # the workers of one that was killed outlive it
  rm -f "$PHP_SOCKET"
  in_background fpm "$(fpm_program)" -F -y "$RUN/fpm.conf" -d expose_php=0 -d opcache.enable=1 -d opcache.validate_timestamps=0 -d opcache.memory_consumption=192 \
    -d opcache.interned_strings_buffer=24 -d opcache.max_accelerated_files=20000 -d opcache.jit=off -d realpath_cache_size=4M -d realpath_cache_ttl=600
  FPM=$!
}
run_nginx() { stop_group "${NGINX:-}"; NGINX_WORKERS=; in_background nginx /usr/sbin/nginx -e "$RUN/log/nginx.log" -p "$RUN" -c "$RUN/nginx.conf"; NGINX=$!; }
# Whether a process of nginx was killed while its master lives on and has begun another. What it had counted in the memory
# they share is counted for ever: who had twelve requests in such processes would be told "too often" until the next start.
nginx_lost_a_worker() {
  local master one now
  master=$(cat "$RUN/nginx.pid" 2>/dev/null) && now=$(cat "/proc/$master/task/$master/children" 2>/dev/null) && [ -n "$now" ] || return 1
  for one in $NGINX_WORKERS; do
    case " $now " in *" $one "*) ;; *) return 0 ;; esac
  done
  NGINX_WORKERS=$now
  return 1
}

# Works on what waits in the queue, in the background; a worker that ends is started again.
start_worker() {
  stop_worker # where its leader was killed, its loops live on
  # One for plans, and one for what takes long, so that a question keeps no plan waiting. The folder is named so that a later run knows it again.
  in_background worker sh -c 'work() { while :; do php -d opcache.enable_cli=1 -d opcache.jit=tracing -d opcache.jit_buffer_size=64M -d memory_limit=512M artisan queue:work --queue="$1" --quiet --sleep=1 --timeout=600 --max-time=3600; sleep 1; done; }; work default & work questions & wait' "worker of $RUN"
  WORKER=$!
  printf '%s' "$WORKER" > "$RUN/worker.pid"
}

# What is done by the clock: every minute, one at a time.
start_scheduler() {
  stop_scheduler
  in_background scheduler sh -c 'while :; do php artisan schedule:run --quiet; sleep $((60 - $(date +%s) % 60)); done' "scheduler of $RUN"
  SCHEDULER=$!
  printf '%s' "$SCHEDULER" > "$RUN/scheduler.pid"
}

# Keeps everything running until it is told to stop: what ends is started again; what ends again and again ends this,
# which says so.
supervise() {
  local again=0 since=$SECONDS
  while :; do
    sleep 1
    [ $((SECONDS - since)) -lt 300 ] || { again=0; since=$SECONDS; rotate_logs; }
    local what=
    if ! postgres_runs; then what=PostgreSQL; run_postgres
    elif ! kill -0 "$FPM" 2>/dev/null; then what=php-fpm; run_fpm
    elif ! kill -0 "$NGINX" 2>/dev/null; then what=nginx; run_nginx
    elif nginx_lost_a_worker; then what="a process of nginx"; run_nginx
    elif ! kill -0 "$WORKER" 2>/dev/null; then what="the queue"; start_worker
    elif [ -n "${SCHEDULER:-}" ] && ! kill -0 "$SCHEDULER" 2>/dev/null; then what="the clock"; start_scheduler
    fi
    [ -n "$what" ] || continue
    again=$((again + 1))
    say "$(date '+%H:%M:%S') $what had ended and was started again."
    [ "$again" -le "${AGAIN_MOST:-20}" ] || fail "$what ends again and again; its log is in $RUN/log, $VAR or $PG_LOG. Nothing that was saved is lost."
  done
}

# Logs that grew large are put aside once; the application's own turn by the day as well.
rotate_logs() {
  local one
  for one in "$RUN"/log/*.log "$RUN"/storage/logs/*.log "$VAR"/fpm.log "$VAR"/nginx.log "$VAR"/worker.log "$VAR"/scheduler.log; do
    [ -f "$one" ] && [ "$(stat -c %s "$one")" -gt 5000000 ] || continue
    cp -p "$one" "$one.1" && : > "$one"
  done
}

# Its master leads a group of its own, which its workers stay in.
stop_fpm() {
  local pid
  stop_group "${FPM:-}"
  pid=$(cat "$RUN/fpm.pid" 2>/dev/null) || return 0
  case $pid in ''|*[!0-9]*) return 0 ;; esac
  stop_group "$pid"; rm -f "$RUN/fpm.pid"
}
stop_group() { [ -z "${1:-}" ] || kill -TERM -- "-$1" 2>/dev/null || true; }
stop_worker() { stop_group "${WORKER:-}"; WORKER=; }
stop_scheduler() { stop_group "${SCHEDULER:-}"; SCHEDULER=; }
stop_server() { stop_group "${NGINX:-}"; [ -z "${FPM:-}" ] || stop_fpm; NGINX=; FPM=; [ -z "${PHP_HOME:-}" ] || rm -rf "$PHP_HOME"; }

# Kills and cuts while marks arrive, with the watch of bin/start over it. $1 is how many.
measure_faults() {
  artisan gorvan:demo > "$VAR/demo.log" 2>&1 || fail "The demo school could not be loaded; var/demo.log says why."
  (AGAIN_MOST=1000000; trap - EXIT INT TERM; supervise) 9>&- &
  local watch=$! result=0
  GORVAN_ADDRESS="http://127.0.0.1:$SERVER_PORT" GORVAN_RUN="$RUN" GORVAN_PG_DATA="$PG_DATA" node bin/lib/faults.mjs "$1" || result=1
  kill -TERM "$watch" 2>/dev/null; wait "$watch" 2>/dev/null
  stop_left_over
  return $result
}
