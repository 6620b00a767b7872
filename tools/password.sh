# Gives an account a new random password and prints it; only its BCrypt hash is stored.
source tools/common.sh
name="${1:-}"
[[ "$name" =~ ^[A-Za-z0-9._-]{1,60}$ ]] || fail "name an account, such as lead"
alive db || fail "the database is not running; ./arbor start first"
choose_jdk
[ -d "$RUN/app/lib" ] || fail "nothing is built yet; ./arbor start first"
[ "$(db_client -N arbor -e "select count(*) from account where name_key = lower('$name')")" = 1 ] ||
  fail "there is no account '$name'"
password=$(head -c 12 /dev/urandom | base64 | tr '/+' '-_')
hash=$(printf '%s' "$password" |
  java -cp "$RUN/app/arbor-line.jar:$RUN/app/lib/*" arborline.server.account.PasswordHash)
db_client arbor -e "update account set password_hash = '$hash' where name_key = lower('$name');
  delete from SPRING_SESSION where principal_name = '$name'"
echo "$password"
