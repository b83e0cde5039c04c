"""What every station stands in: parts of the window, the sheet, the ladder, the document, the jobs."""
