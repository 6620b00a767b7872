# Keeps the API document that the interface's types are generated from; the server must run.
source tools/common.sh
curl -sf "http://127.0.0.1:$PORT/api/v1/openapi.json" | node tools/sorted-json.mjs >ui/openapi.json ||
  fail "the server does not answer; ./arbor start first"
echo "ui/openapi.json is current"
