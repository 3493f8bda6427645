# frozen_string_literal: true

require_relative "words"

module NutShelf
  module Core
    # How far a good look carries a stack past its quality date.
    module LookCover
      SEALED = 180
      FROZEN = 90
      OPENED_DRY = 30
      FRIDGE = 3

      module_function

      # @param frozen [Boolean]
      # @param sealed [Boolean]
      # @param place [Standing]
      # @return [Integer] days a look covers
      def days(frozen:, sealed:, place:)
        return FROZEN if frozen
        return FRIDGE if place.kind == "fridge"

        sealed ? SEALED : OPENED_DRY
      end

      # @param quality_until [Date]
      # @param looked_on [Date] day of the last good look
      # @param tolerance [Integer] days past the date the food's class allows
      # @param days [Integer] cover of one look
      # @return [Date, nil] last day covered; nil when the look says nothing about the passed date
      def until_on(quality_until:, looked_on:, tolerance:, days:)
        return unless looked_on > quality_until && tolerance.positive?

        covered = [looked_on + days, quality_until + tolerance].min
        covered if covered >= looked_on
      end
    end
  end
end
