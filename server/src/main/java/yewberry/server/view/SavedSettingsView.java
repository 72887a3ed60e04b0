package yewberry.server.view;

import java.util.UUID;
import yewberry.core.output.OutputSettings;

/** Settings of an output that are kept under a name. */
public record SavedSettingsView(UUID id, String name, OutputSettings settings) {}
