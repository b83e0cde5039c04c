"""What every package stands on: words, units, files, threads; none of the trade."""
