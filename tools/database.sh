# Starts the private MariaDB of this checkout on loopback; source after common.sh.

# A random password in a file that only its owner reads: secret NAME
secret() {
  if [ ! -f "$RUN/$1" ]; then
    (umask 077 && head -c 24 /dev/urandom | base64 | tr -d '/+=' >"$RUN/$1")
  fi
  cat "$RUN/$1"
}

database_password() {
  secret db.password
}

# What the database does before it lets anybody in: nobody but who reads our file is root.
database_init() {
  local root
  root=$(secret db.root)
  (umask 077 && cat >"$RUN/db.init" <<END
delete from mysql.global_priv where User = '' or (User = 'root' and Host <> 'localhost');
flush privileges;
alter user root@localhost identified by '$root';
create database if not exists arbor character set utf8mb4;
create user if not exists arbor@127.0.0.1 identified by '$(database_password)';
alter user arbor@127.0.0.1 identified by '$(database_password)';
grant all on arbor.* to arbor@127.0.0.1;
END
  )
  (umask 077 && printf '[client]\nuser=root\npassword=%s\nsocket=%s\n' \
    "$root" "$RUN/socket/db.sock" >"$RUN/db.client")
}

start_database() {
  need_database
  database_init
  alive db && return
  port_free "$DB_PORT" || fail "port $DB_PORT is taken; set ARBOR_DB_PORT to a free one"
  (umask 077 && mkdir -p "$RUN/socket")
  chmod 700 "$RUN/socket"
  if [ ! -d "$RUN/db/mysql" ]; then
    mariadb-install-db --no-defaults --user="$(id -un)" --datadir="$RUN/db" \
      --auth-root-authentication-method=normal --skip-test-db >"$RUN/db-install.log" 2>&1 ||
      fail "the database could not be set up; see .run/db-install.log"
  fi
  nohup mariadbd --no-defaults --user="$(id -un)" --datadir="$RUN/db" --bind-address=127.0.0.1 \
    --port="$DB_PORT" --socket="$RUN/socket/db.sock" --pid-file="$RUN/db.pid" \
    --init-file="$RUN/db.init" \
    --character-set-server=utf8mb4 --innodb-buffer-pool-size="$(database_buffer)" \
    --innodb-log-file-size=256M --max-allowed-packet=64M >>"$RUN/db.log" 2>&1 </dev/null &
  for _ in $(seq 300); do
    db_client -e 'select 1' >/dev/null 2>&1 && return
    sleep 0.1
  done
  fail "the database does not answer; see .run/db.log"
}
