# frozen_string_literal: true

# A household is read whole, and every row stands behind a wall of its household: where no index began with it, each
# reading went through the rows of all households.
Sequel.migration do
  change do
    %i[
      calendar_feeds
      count_lines
      invitations
      lot_events
      lot_sources
      memberships
      movements
      place_photos
      price_observations
      recipe_substitutes
      record_events
    ].each { |table| add_index table, :household_id, name: :"#{table}_by_household" }
  end
end
