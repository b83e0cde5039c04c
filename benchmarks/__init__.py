"""Side-by-side measurements. `make bench` runs them all and writes docs/benchmarks.md."""
