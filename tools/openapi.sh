# Keeps the API document that the interface's types are generated from; the server must run.
source tools/common.sh
served=$(curl -sf "http://127.0.0.1:$PORT/api/v1/openapi.json") ||
  fail "the server does not answer; ./arbor start first"
sorted=$(node tools/sorted-json.mjs <<<"$served")
[ "$sorted" = "$(<ui/openapi.json)" ] || echo "$sorted" >ui/openapi.json
echo "ui/openapi.json is current"
