# frozen_string_literal: true

require_relative "../../value"
require_relative "endurance"

module NutShelf
  module Core
    module Kits
      module Endurance
        # Several questions of one household at once, as a job that whoever does long work can do (see Core::Work); what
        # such jobs share is the catalog. Frozen.
        Question =
          Value.of(:figures, :needs, :asked, :stacks) do
            # @param catalog [Catalog]
            # @return [Hash{Object=>Lasting}] by what each question is called
            def call(catalog)
              asked.transform_values do |(one, more)|
                Reckoning.new(catalog, figures, needs: needs, asked: one, stacks: [*stacks, *more]).call
              end
            end
          end
      end
    end
  end
end
