# Says at once when Node.js is missing or of a version that the packages do not run on. Sourced by the commands in bin/.
if ! command -v node >/dev/null 2>&1; then
  echo "Sprell needs Node.js 20.19 or newer, and there is none on this machine." >&2
  exit 1
fi
case "$(node -p 'const [a, b] = process.versions.node.split(".").map(Number); (a === 20 && b >= 19) || (a === 22 && b >= 12) || a > 22')" in
  true) ;;
  *)
    echo "Sprell needs Node.js 20.19 or newer (or 22.12 or newer), and this is $(node --version)." >&2
    exit 1
    ;;
esac
