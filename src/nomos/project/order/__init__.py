"""In which order to print, and on which days."""
