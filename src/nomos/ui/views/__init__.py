"""What each part of the window shows, worked out from the project and its proof without Qt."""
