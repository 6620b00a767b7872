# Prints a new access key. Only its SHA-256 is stored.
source tools/common.sh
role=$(echo "${1:-}" | tr '[:lower:]' '[:upper:]')
case "$role" in
  LEAD | PROGRAMMER | TOOLROOM | OPERATOR | VISITOR) ;;
  *) fail "name a role: lead, programmer, toolroom, operator or visitor" ;;
esac
alive db || fail "the database is not running; ./arbor start first"
key="arbor_$(head -c 24 /dev/urandom | base64 | tr -d '/+=')"
hash=$(printf '%s' "$key" | sha256sum | cut -d' ' -f1)
db_client arbor -e "insert into access_key (key_hash, role) values ('$hash', '$role')"
echo "$key"
