# Metrion: `make demo` to try it, `make test` before a change lands. See CONTRIBUTING.md.

SHELL := /bin/bash
.DELETE_ON_ERROR:

PYTHON ?= python3
VENV := .venv
BIN := $(VENV)/bin
STAMPS := .stamps
JOBS ?= auto
CHROME = $$(scripts/find_chromium.sh)

TYPES := frontend/src/api/schema.d.ts
CODES := frontend/src/voice/codes.d.ts
API_SOURCES := $(shell find src/metrion/web src/metrion/views src/metrion/core -name '*.py') scripts/write_openapi.py
FRONT_SOURCES := $(shell find frontend/src frontend/public frontend/index.html frontend/vite.config.ts frontend/tsconfig.json src/metrion/voice/en.ftl docs/guide.md docs/screenshots -type f 2>/dev/null)

.PHONY: setup demo test check format types wheel screenshots benchmarks mutants hold clean
.PHONY: check-python check-front test-python test-front test-browser

setup: $(STAMPS)/python $(STAMPS)/front

demo: setup
	@exec $(BIN)/metrion demo

test: setup check test-python test-front test-browser

check: check-python check-front

$(STAMPS):
	@mkdir -p $@

$(STAMPS)/python: requirements-installer.txt requirements.txt requirements-dev.txt pyproject.toml | $(STAMPS)
	@scripts/need_python.sh "$(PYTHON)"
	$(PYTHON) -m venv $(VENV)
	$(BIN)/python -m pip install --quiet --disable-pip-version-check --require-hashes -r requirements-installer.txt
	VIRTUAL_ENV=$(CURDIR)/$(VENV) $(BIN)/uv pip install --quiet --compile-bytecode --require-hashes -r requirements-dev.txt
	VIRTUAL_ENV=$(CURDIR)/$(VENV) $(BIN)/uv pip install --quiet --no-deps --no-build-isolation -e .
	$(BIN)/python -m compileall -q src
	@touch $@

$(STAMPS)/node_modules: frontend/package-lock.json frontend/package.json | $(STAMPS)
	@scripts/need_node.sh
	cd frontend && npm ci --no-fund --no-audit --loglevel=error
	@touch $@

# What the front end knows of the API is written from the API itself.
$(TYPES): $(API_SOURCES) $(STAMPS)/python $(STAMPS)/node_modules
	$(BIN)/python scripts/write_openapi.py var/openapi.json
	cd frontend && npm run --silent types >/dev/null

# Which messages there are, for both languages: a wrong code does not compile.
$(CODES): src/metrion/voice/en.ftl scripts/write_codes.py $(STAMPS)/python
	$(BIN)/python scripts/write_codes.py src/metrion/core/codes.pyi $@

$(STAMPS)/front: $(TYPES) $(CODES) $(STAMPS)/node_modules $(FRONT_SOURCES) | $(STAMPS)
	cd frontend && npm run --silent build
	@touch $@

check-python: $(CODES)
	$(BIN)/ruff format --check src tests scripts benchmarks
	$(BIN)/ruff check src tests scripts benchmarks
	$(BIN)/mypy
	$(BIN)/lint-imports
	$(BIN)/python scripts/public_names.py
	$(BIN)/python scripts/test_share.py

check-front: $(TYPES) $(CODES)
	cd frontend && npm run --silent format && npm run --silent lint && npx tsc --noEmit

test-python: setup
	$(BIN)/pytest -q -n $(JOBS) --ignore tests/browser

test-front: $(TYPES)
	$(BIN)/python scripts/write_drawings.py var/drawings.json
	cd frontend && npm run --silent test

test-browser: setup
	@chrome="$(CHROME)" && echo "Browser: $$chrome" && CHROMIUM="$$chrome" $(BIN)/pytest -q tests/browser

format: $(STAMPS)/python $(STAMPS)/node_modules
	$(BIN)/ruff format src tests scripts benchmarks
	$(BIN)/ruff check --fix src tests scripts benchmarks
	cd frontend && npm run --silent format:write

types: $(TYPES) $(CODES)

screenshots: setup
	@chrome="$(CHROME)" && CHROMIUM="$$chrome" $(BIN)/python scripts/take_screenshots.py docs/screenshots

benchmarks: setup
	@chrome="$(CHROME)" && CHROMIUM="$$chrome" $(BIN)/python benchmarks/keystrokes.py && CHROMIUM="$$chrome" $(BIN)/python benchmarks/dragging.py && CHROMIUM="$$chrome" $(BIN)/python benchmarks/following.py && CHROMIUM="$$chrome" $(BIN)/python benchmarks/first_minute.py && CHROMIUM="$$chrome" $(BIN)/python benchmarks/notebook.py && $(BIN)/python benchmarks/slips.py 500 && $(BIN)/python benchmarks/practice.py && $(BIN)/python benchmarks/bench.py && $(BIN)/python benchmarks/photo.py 20 && $(BIN)/python benchmarks/reduce.py && $(BIN)/python benchmarks/writes.py

# Changes the core in thousands of small ways and counts how many the tests notice: an hour and more.
mutants: $(STAMPS)/python
	nice $(BIN)/mutmut run
	$(BIN)/python scripts/mutant_score.py

# A package to hand on, with the front end inside: it needs no Node to be installed.
wheel: setup
	$(BIN)/python -m hatchling build -t wheel -d var/wheel

# Kills, load, what was never meant to be read, every form of a report: half an hour; prints what docs/reliability.md holds.
hold: setup
	@scripts/need_papers.sh
	@$(BIN)/python -m tests.hold.all

clean:
	rm -rf $(VENV) $(STAMPS) frontend/node_modules src/metrion/web/static var mutants
