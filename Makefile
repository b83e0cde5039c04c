# `make demo` and `make test` need nothing done before them; see README.md.
PY := .venv/bin/python
TESTED := src tests benchmarks
# Two tests run side by side: threads of one library more would only stand in each other's way.
ALONE := OMP_NUM_THREADS=1 OPENBLAS_NUM_THREADS=1 OPENCV_FOR_THREADS_NUM=1

.PHONY: setup demo test thorough coverage golden mutate format bench lock screenshots package attack
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
	@$(ALONE) $(PY) -m pytest -q -n 2 --dist worksteal -m "not thorough"

# What a simulated telephone or another physics takes minutes to show: with `make test` all there is.
thorough: setup
	@$(ALONE) $(PY) -m pytest -q -n 2 --dist worksteal -m thorough

# The same tests with every line counted and said by file: half as long again, so not in `make test`.
coverage: setup
	@$(ALONE) $(PY) -m pytest -q -n 2 --dist worksteal \
	  --cov=nomos --cov-report=
	@echo "lines that a test passes over: $$($(PY) -m coverage report --format=total) %"

# Writes tests/golden anew, after a change that is meant to be seen; look at the difference first.
golden: setup
	@NOMOS_GOLDEN=write $(PY) -m pytest -q -n 2 tests/test_golden.py tests/ui/test_golden.py

# Plants faults in the heart and says which of them no test notices; takes about half an hour.
mutate: setup
	@$(PY) tools/mutate.py

format: setup
	@.venv/bin/ruff check --quiet --fix-only $(TESTED)
	@.venv/bin/ruff format --quiet $(TESTED)

bench: setup
	@$(PY) -m benchmarks

# Seeded attacks: broken files of every kind, kills, a full disk, a random hand on the window; about twenty
# minutes. `make test` runs a few of them.
attack: setup
	@$(PY) tools/attack.py --runs 6000

# A wheel for pipx and a Debian package, in build/dist.
package: setup
	@$(PY) tools/package.py

screenshots: setup
	@mkdir -p build/demo
	@xvfb-run -a -s "-screen 0 1600x1000x24" $(PY) -m nomos demo --walk build/demo
	@cp build/demo/station-*.png docs/screenshots/
	@rm -f docs/screenshots/station-5-register-pins.png

# Needs uv (a package of that name) on the path; only for whoever changes requirements.in.
lock:
	uv pip compile requirements.in --no-strip-extras --python-version 3.11 --generate-hashes --no-header --no-annotate -o requirements.lock
