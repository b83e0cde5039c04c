# `make demo` and `make test` need nothing done before them; see README.md.
PY := .venv/bin/python
TESTED := src tests benchmarks

.PHONY: setup demo test format bench lock screenshots
setup:
	@tools/setup.sh

demo: setup
	@if [ -n "$$DISPLAY$$WAYLAND_DISPLAY" ]; then .venv/bin/nomos demo; \
	else mkdir -p build/demo; \
	  xvfb-run -a -s "-screen 0 1600x1000x24" $(PY) -m nomos demo --walk build/demo; fi

test: setup
	@.venv/bin/ruff format --check --quiet $(TESTED) || { echo "run: make format"; exit 1; }
	@.venv/bin/ruff check --quiet $(TESTED)
	@.venv/bin/mypy
	@.venv/bin/lint-imports --no-cache > build-imports.log 2>&1 || { cat build-imports.log; rm -f build-imports.log; exit 1; }
	@rm -f build-imports.log
	@! grep -n '://' requirements.lock
# Two tests run side by side: threads of one library more would only stand in each other's way.
	@OMP_NUM_THREADS=1 OPENBLAS_NUM_THREADS=1 OPENCV_FOR_THREADS_NUM=1 $(PY) -m pytest -q -n 2 --dist worksteal

format: setup
	@.venv/bin/ruff check --quiet --fix-only $(TESTED)
	@.venv/bin/ruff format --quiet $(TESTED)

bench: setup
	@$(PY) -m benchmarks

screenshots: setup
	@mkdir -p build/demo
	@xvfb-run -a -s "-screen 0 1600x1000x24" $(PY) -m nomos demo --walk build/demo
	@cp build/demo/station-*.png docs/screenshots/
	@rm -f docs/screenshots/station-5-register-pins.png

# Needs uv (a package of that name) on the path; only for whoever changes requirements.in.
lock:
	uv pip compile requirements.in --python-version 3.11 --generate-hashes --no-header --no-annotate -o requirements.lock
