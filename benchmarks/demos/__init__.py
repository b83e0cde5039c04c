"""The drawings of the demos, as code; `nomos.demo` ships them as files."""
