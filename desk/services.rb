# frozen_string_literal: true

require_relative "../core/buying/on_shelf"
require_relative "../core/value"
require_relative "../core/work"

module NutShelf
  module Desk
    # What the acts work with: the store, the reference tables, the clock and the words of the label line. Frozen.
    Services =
      Core::Value.of(:database, :catalog, :clock, :names, :foreign_words, :tongues, :marks, :kept,
        work: Core::Work::Here, shop_feed: Core::NoShopSays) do
        # Nothing that was kept from an earlier look is there.
        def forget = kept.clear

        # @return [Hash{String=>String}] further words a food is searched by, by its key
        def search_words = names.to_h { |key, list| [key, list.join(" ").delete("!~")] }
      end

    # Who is asking: account, household and role ("keeper" or "helper"). Frozen.
    Caller =
      Core::Value.of(:account_id, :household_id, :role) do
        # @return [Boolean]
        def keeper? = role == "keeper"
      end
  end
end
